using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

/// <summary>A switch with two or three positions. Position 1 is away from the pilot, the last one towards the pilot.</summary>
public sealed record SwitchControl : Control
{
    /// <summary>Where the fingers find it.</summary>
    [Description("Where the fingers find the switch.")]
    public required ControlPlace Place { get; init; }

    /// <summary>How many positions it has, 2 or 3.</summary>
    [Description("How many positions the switch has.")]
    [Range(2, 3)]
    public required int Positions { get; init; }

    /// <summary>The position at switch-on, 1 to <see cref="Positions"/>.</summary>
    [Description("The position at switch-on; 1 is away from the pilot.")]
    [Range(1, 3)]
    public required int Start { get; init; }

    /// <summary>The safe end, 1 or <see cref="Positions"/>: in a panic every switch goes there.</summary>
    [Description("The safe position: in a panic every switch goes there.")]
    [Range(1, 3)]
    public required int Safe { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override Percent StartValue => ValueAt(Start);

    /// <summary>The value at a position: two give -100 and +100, three give -100, 0 and +100.</summary>
    /// <remarks>Common practice, no source (figures.md, "Switches").</remarks>
    public Percent ValueAt(int position) => new(-100 + (200.0 * (position - 1) / (Positions - 1)));

    /// <summary>The name of a position, counted from the safe end: "safe", "mid", "far".</summary>
    public string PositionName(int position)
    {
        var steps = Math.Abs(position - Safe);
        if (steps == 0)
            return "safe";
        return steps == Positions - 1 ? "far" : "mid";
    }

    /// <inheritdoc />
    [JsonIgnore]
    public override double StartSetting => Start;

    /// <inheritdoc />
    [JsonIgnore]
    public override IReadOnlyList<ControlPosition> NamedPositions
    {
        get
        {
            var positions = Enumerable.Range(1, Positions).Select(p => new ControlPosition(p, PositionName(p)));
            return [.. Safe == 1 ? positions : positions.Reverse()];
        }
    }

    /// <inheritdoc />
    public override Percent? Read(double setting) =>
        double.IsInteger(setting) && setting >= 1 && setting <= Positions ? ValueAt((int)setting) : null;
}
