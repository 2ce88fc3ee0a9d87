using Zephyros.Core.Evidence;
using Zephyros.Core.Path;
using Zephyros.Core.Return;

namespace Zephyros.Core.Work.Steps;

/// <summary>A search for sensors found what should come back, and was ended.</summary>
public sealed class FindSensors : TickRule
{
    /// <inheritdoc />
    public override string Id => "sensors";

    /// <inheritdoc />
    public override int Order => 114;

    /// <inheritdoc />
    public override string Name => "Find the sensors";

    /// <inheritdoc />
    public override string Why => "An alarm on a sensor that is not there never speaks, and nothing says so.";

    /// <inheritdoc />
    public override string Caution => "Propellers off: the board reports with the flight battery connected.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.ReadBack;

    /// <inheritdoc />
    protected override string NotNeeded => "The model knows no sensor.";

    /// <inheritdoc />
    protected override string WordsAre => "what is to be found";

    /// <inheritdoc />
    public override IReadOnlyList<Deed> Deeds(SignalPlan plan)
    {
        var setup = plan.Setup;
        if (setup.Model.Sensors.Count == 0)
            return [];
        IReadOnlyList<BasisPart> basis =
        [
            .. EvidenceBasis.OfParts(
                setup,
                ("/air/telemetry", "whether the link brings telemetry"),
                ("/board/equipment", "what the board can measure"),
                ("/board/reports", "how the board's reports come")
            ),
        ];
        var comes = SensorSearch.Simulated(setup).ToHashSet(StringComparer.Ordinal);
        string[] found = [.. SensorSearch.Expected(setup).Where(e => comes.Contains(e.Key)).Select(e => e.Words)];
        return
        [
            new(
                "found",
                "Connect the flight battery, and let the transmitter search for sensors.",
                found.Length > 0 ? $"It finds {string.Join(", ", found)}." : "It finds nothing.",
                basis
            ),
            new("ended", "End the search.", "Sensors of other craft are no longer added.", basis),
        ];
    }
}
