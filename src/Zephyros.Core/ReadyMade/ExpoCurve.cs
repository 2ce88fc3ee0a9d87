using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>A curve that is softer around the middle and keeps its ends.</summary>
public sealed class ExpoCurve : IReadyMade
{
    /// <inheritdoc />
    public string Id => "expo-curve";

    /// <inheritdoc />
    public string Title => "Expo curve";

    /// <inheritdoc />
    public string Purpose =>
        "Softer around the middle, the same ends. Most boards have their own; use one of the two, not both.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        var channels = Workshop.Channels(setup);
        return
        [
            new("channel", "On channel", ParameterKind.Channel, channels.Count > 0 ? channels[0].Value : "")
            {
                Options = channels,
            },
            new("expo", "Expo", ParameterKind.Number, "30")
            {
                Unit = Percent.Symbol,
                Minimum = -100,
                Maximum = 100,
            },
            new("points", "Points", ParameterKind.Number, $"{Math.Min(9, setup.Transmitter.CurvePoints)}")
            {
                Minimum = CurveStep.FewestPoints,
                Maximum = setup.Transmitter.CurvePoints,
            },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var (channel, expo, points) = (wanted.Option("channel"), wanted.Number("expo"), wanted.Number("points"));
        if (!double.IsInteger(points))
            wanted.Refuse("points", "The number of points is a whole one.");
        if (wanted.Problems.Count > 0)
            return null;
        var curve = new CurveStep
        {
            Order = 0,
            Points = CurvePresets.Expo(new Percent(expo), (int)points),
            Smooth = true,
        };
        var work = new Workshop(setup);
        work.Append(channel, ("expo", curve));
        return new Built(
            work.Setup,
            [$"Around the middle the stick does {Figures.Plain(100 - expo)} % of what it did; the ends stay."]
        );
    }
}
