using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

/// <summary>A switch with two to six positions. Position 1 is away from the pilot (or the leftmost), the last one towards the pilot.</summary>
public sealed record SwitchControl : PlacedControl
{
    /// <summary>How many positions it has, 2 to 6.</summary>
    [Description("How many positions the switch has.")]
    [Range(2, 6)]
    public required int Positions { get; init; }

    /// <summary>The position at switch-on, 1 to <see cref="Positions"/>.</summary>
    [Description("The position at switch-on; 1 is away from the pilot.")]
    [Range(1, 6)]
    public required int Start { get; init; }

    /// <summary>The safe end, 1 or <see cref="Positions"/>: in a panic every switch goes there.</summary>
    [Description("The safe position: in a panic every switch goes there.")]
    [Range(1, 6)]
    public required int Safe { get; init; }

    /// <summary>The value measured in each position, position 1 first; empty when they are evenly spaced.</summary>
    /// <remarks>Common practice, no source: switches with five or six positions rarely give evenly spaced values.</remarks>
    [Description("The value measured in each position, in percent, position 1 first; empty when evenly spaced.")]
    [Range(-150, 150)]
    public ImmutableArray<Percent> Readings { get; init; } = [];

    /// <inheritdoc />
    [JsonIgnore]
    public override Percent StartValue => ValueAt(Start);

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

    /// <summary>The value at a position: the measured one, or evenly spaced from -100 to +100.</summary>
    /// <remarks>Common practice, no source.</remarks>
    public Percent ValueAt(int position) =>
        Readings.Length == Positions
            ? Readings[position - 1]
            : new Percent(-100 + (200.0 * (position - 1) / (Positions - 1)));

    /// <summary>The position whose value lies nearest to <paramref name="value"/>.</summary>
    public int PositionAt(Percent value) =>
        Enumerable.Range(1, Positions).MinBy(p => ValueAt(p).ApartFrom(value).Value);

    /// <summary>The name of a position, counted from the safe end: "safe", "mid" (or its number among more than three), "far".</summary>
    public string PositionName(int position)
    {
        var steps = Math.Abs(position - Safe);
        if (steps == 0)
            return "safe";
        if (steps == Positions - 1)
            return "far";
        return Positions == 3 ? "mid" : $"{steps + 1}";
    }

    /// <inheritdoc />
    public override Percent? Read(double setting) =>
        double.IsInteger(setting) && setting >= 1 && setting <= Positions ? ValueAt((int)setting) : null;
}
