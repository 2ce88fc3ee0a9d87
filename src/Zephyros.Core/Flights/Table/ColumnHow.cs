namespace Zephyros.Core.Flights.Table;

/// <summary>How the unit of a column is known.</summary>
public enum ColumnHow
{
    /// <summary>Its head says so.</summary>
    Head,

    /// <summary>Nothing says so, and the range of its values fits no other.</summary>
    Range,

    /// <summary>The pilot said so.</summary>
    Told,
}
