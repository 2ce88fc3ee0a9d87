using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Goggles;

/// <summary>Something that is drawn over the picture in the goggles.</summary>
public sealed record GogglesItem
{
    /// <summary>The last page there can be.</summary>
    public const int LastPage = 3;

    /// <summary>What it shows.</summary>
    [Description("What it shows.")]
    public required GogglesSubject Shows { get; init; }

    /// <summary>The page on which it stands, 1 to 3.</summary>
    [Description("The page on which it stands.")]
    [Range(1, LastPage)]
    public int Page { get; init; } = 1;

    /// <summary>The row in which it stands, the top one is 1.</summary>
    [Description("The row in which it stands, the top one is 1.")]
    [Range(1, 20)]
    public int Row { get; init; } = 1;

    /// <summary>The column in which it begins, the left one is 1.</summary>
    [Description("The column in which it begins, the left one is 1.")]
    [Range(1, 60)]
    public int Column { get; init; } = 1;
}
