using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>The last stage of a channel: direction, centre, low and high ends.</summary>
/// <remarks>An incoming value of 0 leaves at the centre, -100 at the low end and +100 at the high end, straight in between;
/// what would pass an end is held there.</remarks>
public sealed record OutputStage
{
    /// <summary>True when the incoming value is turned round before the ends apply.</summary>
    [Description("True when the value is turned round before the ends apply.")]
    public bool Reverse { get; init; }

    /// <summary>What leaves at an incoming value of 0.</summary>
    [Description("What leaves at an incoming value of 0, in percent.")]
    [Range(-150, 150)]
    public Percent Centre { get; init; }

    /// <summary>What leaves at an incoming value of -100 %.</summary>
    [Description("What leaves at an incoming value of -100 %, in percent.")]
    [Range(-150, 150)]
    public Percent Low { get; init; } = Percent.Low;

    /// <summary>What leaves at an incoming value of +100 %.</summary>
    [Description("What leaves at an incoming value of +100 %, in percent.")]
    [Range(-150, 150)]
    public Percent High { get; init; } = Percent.High;

    /// <summary>True when the stage leaves every value within -100..+100 % as it is.</summary>
    public bool IsPlain() => !Reverse && Centre.Value == 0 && Low == Percent.Low && High == Percent.High;
}
