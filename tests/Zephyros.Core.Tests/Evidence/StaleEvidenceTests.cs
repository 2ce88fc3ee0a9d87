using Zephyros.Core.Evidence;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Findings;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Evidence;

/// <summary>Whatever edit changes what would be measured makes what was measured stale. The judge measures again, with the hands anywhere.</summary>
public sealed class StaleEvidenceTests
{
    private const int Hands = 12;

    [Fact]
    public void Whatever_changes_what_would_be_measured_makes_it_stale()
    {
        var (tried, moved, stale) = (0, 0, 0);
        foreach (var (name, setup) in Craft())
        {
            var random = new Random(name.Length);
            var edits = new RandomEdits(random);
            var plan = SignalPlan.Compile(setup);
            var records = Records(plan)
                .Select(r => (Record: r, Basis: EvidenceBasis.OfMeasurement(setup, r), Measured: Measured(plan, r)))
                .ToArray();
            for (var i = 0; i < Iterations.OfProofs(40); i++)
            {
                // Anywhere, and in turn with that where it matters most.
                if (edits.Of(setup, i % 2 == 0 ? "" : "/model/channels/") is not var (place, changed))
                    continue;
                var planned = SignalPlan.Compile(changed);
                foreach (var (record, basis, measured) in records)
                {
                    tried++;
                    var said = EvidenceBasis.Changed(changed, record, basis);
                    stale += said.Count > 0 ? 1 : 0;
                    if (measured.SequenceEqual(Measured(planned, record)))
                        continue;
                    moved++;
                    Assert.True(said.Count > 0, $"{name}: {place} changes what is measured, and it stands");
                }
            }
        }

        Score.Tell($"stale evidence: {tried} tried, {moved} change what is measured, {stale} stale");
        Assert.True(moved > tried / 20, $"{moved} of {tried} changed what is measured");
        // It must not be stale for everything.
        Assert.True(stale < tried * 3 / 4, $"{stale} of {tried} stale");
    }

    private static IEnumerable<(string Name, Setup Setup)> Craft() =>
        PlantedFaults
            .All.Where((_, i) => i % 6 == 0)
            .Select(p => (p.Key, p.Value))
            .Concat(Enumerable.Range(0, 12).Select(seed => ($"random model {seed}", new RandomModels(seed).Make())))
            .Concat([("sandpiper", Demo.Sandpiper), ("wren", Demo.Wren), ("gannet", Demo.Gannet)]);

    // Sticks alone, and each switch by itself.
    private static MeasurementRecord[] Records(SignalPlan plan)
    {
        var wiggle = new WiggleSeen { Moved = StickAxis.Roll, Bar = StickAxis.Roll };
        return
        [
            new MeasurementRecord { Wiggles = [wiggle] },
            .. SimulatedMeasurement
                .Positions(plan)
                .GroupBy(p => (p.Control, p.Channel))
                .Take(2)
                .Select(p => new MeasurementRecord { Positions = [.. p] }),
        ];
    }

    // What the bars and the channels that were looked at show with the hands here and there. A hand is the same whatever else there is.
    private static IReadOnlyList<string> Measured(SignalPlan plan, MeasurementRecord record)
    {
        var seen = new List<string>();
        if (record.Wiggles.Length > 0)
            seen.AddRange(
                StickAxes.All.Select(a =>
                    $"{SimulatedMeasurement.Wiggled(plan, a)} {SimulatedMeasurement.Swept(plan, a)}"
                )
            );
        foreach (var position in record.Positions)
            seen.Add(
                plan.Model.IndexOf(position.Control) is var i and >= 0
                && plan.Model.Controls[i].Value.Read(position.Setting) is not null
                    ? Shown(plan, plan.With(position.Control, position.Setting), record)
                    : "gone"
            );
        for (var n = 0; n < Hands; n++)
        {
            var values = plan.CreateValues();
            plan.Settle(values);
            for (var i = 0; i < plan.Model.Controls.Count; i++)
                values.Hands[i] = Somewhere(plan.Model.Controls[i].Key, plan.Model.Controls[i].Value, n);
            plan.Settle(values);
            seen.Add(Shown(plan, values, record));
        }

        return seen;
    }

    private static string Shown(SignalPlan plan, SignalValues values, MeasurementRecord record)
    {
        var board = plan.Setup.Board;
        var shown =
            record.Wiggles.Length > 0
                ? StickAxes.All.Select(a => board.Scaled(a, values.Received[board.Map.ChannelOf(a).Value - 1]))
                : record.Positions.Select(p => On(values, p.Channel)).Distinct();
        return string.Join(' ', shown.Select(v => Math.Round(v.Value, 6)));
    }

    private static Microseconds On(SignalValues values, ChannelNumber channel) =>
        channel.Value <= values.Received.Length ? values.Received[channel.Value - 1] : Microseconds.Neutral;

    private static Percent Somewhere(string id, Control control, int n)
    {
        var random = new Random(id.Sum(c => c) * 31 + n);
        var positions = control.NamedPositions;
        return positions.Count > 0
            ? control.Read(positions.OrderBy(p => p.Setting).ElementAt(random.Next(positions.Count)).Setting)!.Value
            : new Percent(random.Next(-100, 101));
    }
}
