using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Budgets;
using Zephyros.Core.Path.Controls;
using Zephyros.Core.Path.PowerOn;
using Zephyros.Core.Path.States;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Findings;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Path;

/// <summary>What is worked out along the path of the demo craft, and of two that are odd: rows, uses, budgets, tables, ports, the link.</summary>
public sealed class PathRecordedTests
{
    // A link with few steps that reserves a channel, a quality on its last one, a deadband, a curve, a span; pulses on the wire.
    private static readonly Setup Odd = FaultGround
        .Full.WithAir(a =>
            a with
            {
                ReservesArmChannel = true,
                ChannelSteps = a.ChannelSteps.Add(new(6), 3).Add(new(7), 6).Add(new(8), 64),
                Receiver = a.Receiver with { QualityOn = 9 },
                Region = LinkRegion.Two,
                Sensitivity = null,
                TelemetryEvery = 16,
            }
        )
        .WithBoard(b =>
            b with
            {
                Deadband = new(8),
                Expo = new(30),
                Centre = new(1510),
                Spans = b.Spans.Add(StickAxis.Roll, new ChannelSpan { Low = new(1020), High = new(1980) }),
                Wander = b.Wander.Add(new(6), new(4)),
            }
        ) with
    {
        Wire = Demo.Plain.Wire with { Format = WireFormat.PulseTrain, FramePeriod = new(22.5) },
    };

    private static readonly (string Name, Setup Setup)[] Crafts =
    [
        .. Demo.Names.Select(n => n.Data).Order(StringComparer.Ordinal).Select(n => (n, Demo.Load(n))),
        ("odd", Odd),
        ("two stages", PlantedFaults.TwoStage),
    ];

    [Fact]
    public void What_is_worked_out_along_the_path_is_what_it_was() =>
        Recorded.AssertSame("path", Crafts.SelectMany(c => Lines(c.Setup).Prepend($"# {c.Name}")));

    private static IEnumerable<string> Lines(Setup setup)
    {
        var plan = SignalPlan.Compile(setup);
        var words = new ModelWords(setup.Transmitter, setup.Model);
        var rows = ControlRows.Of(plan);
        foreach (var row in rows)
            yield return $"row {Recorded.Told(row)}";
        yield return $"to measure: {string.Join(", ", MeasuredRows.Among(plan, rows).Select(Recorded.Told))}";
        foreach (var use in plan.Uses)
            yield return $"use {Recorded.Told(use)}";
        foreach (var item in PowerOnCheck.Of(plan))
            yield return $"at switch-on {Recorded.Told(item)}";
        foreach (var row in ChannelBudget.Of(plan))
            yield return $"budget {Recorded.Told(row)}; {LinkEffect.Of(plan, row.Channel)}";
        foreach (var (id, condition) in setup.Model.Conditions.OrderBy(c => c.Key, StringComparer.Ordinal))
            yield return $"condition {id}: {words.Of(condition.Test)}";
        foreach (var row in StateTable.Of(plan).Rows)
            yield return $"state {Recorded.Told(row)}";
        foreach (var combination in StateTable.Of(plan).Combinations)
            yield return $"combination {Recorded.Told(combination)}";
        foreach (var part in LatencyBudget.Of(setup))
            yield return $"latency {Recorded.Told(part)}";
        var link = LinkBudget.Of(setup.Air);
        yield return $"link {Recorded.Told(link with { Course = [.. link.Course.Where((_, i) => i % 10 == 0)] })}";
        foreach (var port in PortChoices.Of(setup.Board, plan.Wire))
            yield return $"port {Recorded.Told(port)}";
        foreach (var choice in QualityChannels.Free(setup))
            yield return $"quality {Recorded.Told(choice)}";
        yield return $"{QualityChannels.TestByReceiver(setup)} {QualityChannels.TestByTransmitter(setup)}";
        foreach (var axis in StickAxes.All)
            yield return string.Join(
                "; ",
                new double[] { 880, 1000, 1200, 1400, 1499, 1501, 1510, 1516, 1519, 1600, 1980, 2000, 2100 }.Select(v =>
                    $"{v} {CraftResponse.Describe(setup.Board, axis, new(v))}"
                )
            );
    }
}
