namespace Zephyros.Core.Model.Logic;

/// <summary>How a value is compared. The limit itself is neither below nor above.</summary>
public enum Relation
{
    /// <summary>Less than the limit.</summary>
    Below,

    /// <summary>More than the limit.</summary>
    Above,
}
