using System.Collections.Immutable;
using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

/// <summary>Blank transmitter shapes to start from: four sticks and so many switches. A larger shape has all controls of the smaller
/// ones under the same ids, so a setup can move to it and keep working.</summary>
/// <remarks>Scale and limits are round and cautious, and no transmitter's own: the first step of the work is to look them up. What keeps
/// to them fits any transmitter (our own assumption).</remarks>
public static class BlankTransmitters
{
    // In the order in which shapes get them: the first four, two more, and so on.
    private static readonly (string Id, string Label, ControlPlace Place, int Positions)[] Switches =
    [
        ("left-shoulder", "Left shoulder", ControlPlace.LeftShoulder, 2),
        ("right-shoulder", "Right shoulder", ControlPlace.RightShoulder, 2),
        ("left-front-inner", "Left front, inner", ControlPlace.LeftFront, 3),
        ("right-front-inner", "Right front, inner", ControlPlace.RightFront, 3),
        ("left-front-outer", "Left front, outer", ControlPlace.LeftFront, 3),
        ("right-front-outer", "Right front, outer", ControlPlace.RightFront, 3),
        ("left-back-switch", "Left back", ControlPlace.LeftBack, 2),
        ("right-back-switch", "Right back", ControlPlace.RightBack, 2),
        ("selector", "Selector", ControlPlace.LeftFront, 6),
        ("right-side", "Right side", ControlPlace.RightShoulder, 3),
    ];

    /// <summary>The shapes with 4, 6, 8 and 10 switches.</summary>
    public static IReadOnlyList<Transmitter> All { get; } = [Shape(4), Shape(6), Shape(8), Shape(10)];

    private static Transmitter Shape(int switches)
    {
        var controls = ImmutableDictionary.CreateBuilder<string, Control>(StringComparer.Ordinal);
        foreach (var axis in StickAxes.All)
            controls.Add(axis.Word(), Stick(axis));
        foreach (var (id, label, place, positions) in Switches.Take(switches))
            controls.Add(id, Switch(label, place, positions));
        controls.Add("left-dial", new DialControl { Label = "Left dial", Place = ControlPlace.LeftFront });
        if (switches >= 6)
        {
            controls.Add("right-dial", new DialControl { Label = "Right dial", Place = ControlPlace.RightFront });
            controls.Add("right-button", new ButtonControl { Label = "Right button", Place = ControlPlace.RightBack });
        }

        if (switches >= 8)
            controls.Add("left-button", new ButtonControl { Label = "Left button", Place = ControlPlace.LeftBack });
        if (switches >= 10)
        {
            controls.Add("left-slider", new SliderControl { Label = "Left slider", Place = ControlPlace.LeftBack });
            controls.Add("right-slider", new SliderControl { Label = "Right slider", Place = ControlPlace.RightBack });
            controls.Add("tracker", new ExternalInput { Label = "Tracker socket", Place = ControlPlace.Socket });
        }

        return new Transmitter
        {
            Origin = $"blank-{switches}",
            Name = $"Blank, {switches} switches",
            StickMode = 2,
            Scale = PulseScale.Even,
            Channels = switches >= 8 ? 16 : 8,
            TravelLimit = new Percent(100),
            TravelStep = new Percent(1),
            CurvePoints = 5,
            Controls = controls.ToImmutable(),
        };
    }

    private static StickControl Stick(StickAxis axis)
    {
        var word = axis.Word();
        return new StickControl
        {
            Label = char.ToUpperInvariant(word[0]) + word[1..],
            Axis = axis,
            Start = axis == StickAxis.Throttle ? Percent.Low : Percent.Centre,
        };
    }

    private static SwitchControl Switch(string label, ControlPlace place, int positions) =>
        new()
        {
            Label = label,
            Place = place,
            Positions = positions,
            Start = 1,
            Safe = 1,
        };
}
