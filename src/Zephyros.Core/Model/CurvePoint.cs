using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>A point of a curve.</summary>
public sealed record CurvePoint
{
    /// <summary>The value that comes in.</summary>
    [Description("The value that comes in, in percent.")]
    [Range(-150, 150)]
    public required Percent X { get; init; }

    /// <summary>The value that goes out.</summary>
    [Description("The value that goes out, in percent.")]
    [Range(-150, 150)]
    public required Percent Y { get; init; }
}
