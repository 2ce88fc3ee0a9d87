using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Findings;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Wire;
using static Zephyros.Core.Tests.Build;
using static Zephyros.Core.Tests.Findings.FaultGround;
using static Zephyros.Core.Tests.Findings.PlantedFaults;

namespace Zephyros.Core.Tests.Findings;

/// <summary>Each limit of a rule from both sides: a number of a setup goes through its range, and where findings come, change their
/// severity or go, what they say and what their fixes write there is recorded.</summary>
public sealed class FindingRangesRecordedTests
{
    private static readonly Scan[] Scans =
    [
        new("low end of pitch", -131, -60, 0.1, x => Demo.Plain.WithEnds("pitch", x, 97.6)),
        new("high end of yaw", 60, 131, 0.1, x => Demo.Plain.WithEnds("yaw", -97.6, x)),
        new("centre of roll", -10, 10, 0.1, x => Output("roll", o => o with { Centre = new(x) })),
        new(
            "centre of roll on a board with a deadband",
            -10,
            10,
            0.1,
            x => Output("roll", o => o with { Centre = new(x) }).WithBoard(b => b with { Deadband = new(12) })
        ),
        new("low end of the throttle", -131, -60, 0.1, x => Demo.Plain.WithEnds("throttle", x, 97.6)),
        new("limit of a low throttle", 950, 1600, 1, x => Board(b => b with { ThrottleLow = new(x) })),
        new("centre of the board", 1400, 1600, 1, x => Board(b => b with { Centre = new(x) })),
        new("low edge of the arm band", 900, 2095, 5, x => Demo.Plain.WithArm(f => f with { Low = new(x) })),
        new("high edge of the arm band", 1725, 2100, 5, x => Demo.Plain.WithArm(f => f with { High = new(x) })),
        new("low edge of an arm band on three positions", 900, 2095, 5, x => Demo.ArmOnThreePositions(x, 2100)),
        new("high edge of an arm band on three positions", 905, 2100, 5, x => Demo.ArmOnThreePositions(900, x)),
        new("AUX of arming", 1, 28, 1, x => Demo.Plain.WithArm(f => f with { Aux = (int)x })),
        new(
            "AUX of the beeper",
            1,
            28,
            1,
            x => Board(b => b with { Functions = b.Functions.Set("beeper", f => f with { Aux = (int)x }) })
        ),
        new(
            "number of the arm channel",
            1,
            32,
            1,
            x => Demo.Plain.WithChannel("arm", c => c with { Number = new((int)x) })
        ),
        new("channels of the link", 4, 32, 1, x => Air(a => a with { Channels = (int)x })),
        new("steps of the link on channel 6", 2, 20, 1, x => Steps(6, (int)x)),
        new("steps of the link on channel 5", 2, 20, 1, x => Steps(5, (int)x)),
        new(
            "quality on channel",
            1,
            16,
            1,
            x => Air(a => a with { Receiver = a.Receiver with { QualityOn = (int)x } })
        ),
        new("frequency in region 1", 800, 1000, 1, x => In(LinkRegion.One, x)),
        new("frequency in region 2", 800, 1000, 1, x => In(LinkRegion.Two, x)),
        new("frequency in region 3", 800, 1000, 1, x => In(LinkRegion.Three, x)),
        new(
            "wander of channel 5",
            0,
            100,
            0.5,
            x =>
                Board(b => b with { Wander = b.Wander.SetItem(new(5), new(x)) })
                    .WithArm(f => f with { Low = new(1960) })
        ),
        new("trim of yaw", -5, 5, 0.5, x => Demo.Plain.InModel(m => m with { Trims = m.Trims.SetItem("yaw", new(x)) })),
        new("activation limit", 950, 1200, 1, x => TwoStage.WithBoard(b => b with { ActivationLimit = new(x) })),
        new("low end of the throttle with two stages", -100, -80, 0.1, x => TwoStage.WithEnds("throttle", x, 97.6)),
        new("forced value of the first stage", -110, -80, 0.1, Forced),
        new(
            "forced value of a transmitter that holds it within its ends",
            -110,
            -70,
            0.1,
            x => Forced(x) with { Transmitter = TwoStage.Transmitter with { ForcedPastEnds = false } }
        ),
        new("weight of the limiter's dial", -100, 100, 1, x => Limiter(x, 75)),
        new("shift of the limiter", -25, 125, 1, x => Limiter(25, x)),
        new("limit of a distance", -100, 4000, 1, x => Distant(x)),
        new(
            "letters of an alias",
            0,
            40,
            1,
            x => Full.WithControl("left-dial", c => c with { Alias = new('a', (int)x) })
        ),
        new(
            "letters of a short name",
            0,
            15,
            1,
            x => Full.WithChannel("beeper", c => c with { Short = new('a', (int)x) })
        ),
        new(
            "letters that the transmitter keeps",
            9,
            16,
            1,
            x => Full with { Transmitter = Full.Transmitter with { ShortNames = (int)x } }
        ),
        Scan.Each(
            "step of the ends",
            [0.02, 0.05, 0.1, 0.2, 0.25, 0.3, 0.5, 1, 5],
            x =>
                Full.WithEnds("roll", -97.65, 97.6) with
                {
                    Transmitter = Full.Transmitter with { TravelStep = new(x) },
                }
        ),
        new(
            "limit of the ends",
            90,
            150,
            1,
            x => Demo.Plain with { Transmitter = Demo.Plain.Transmitter with { TravelLimit = new(x) } }
        ),
        new(
            "start of the throttle stick",
            -100,
            100,
            1,
            x => Demo.Plain.WithControl("throttle", c => (StickControl)c with { Start = new(x) })
        ),
        new(
            "start of the roll stick",
            -100,
            100,
            1,
            x => Demo.Plain.WithControl("roll", c => (StickControl)c with { Start = new(x) })
        ),
        new(
            "start of the mode switch",
            1,
            3,
            1,
            x => Demo.Plain.WithControl("right-front-inner", c => (SwitchControl)c with { Start = (int)x })
        ),
        new(
            "low edge of the blended band",
            900,
            2095,
            5,
            x =>
                Board(b =>
                    b with
                    {
                        Functions = b.Functions.Set(
                            "blended",
                            f => f with { Low = new(x), High = new(Math.Min(x + 300, 2100)) }
                        ),
                    }
                )
        ),
        new(
            "low end of a span that the board was told",
            900,
            1100,
            1,
            x =>
                Board(b =>
                    b with
                    {
                        Spans = b.Spans.SetItem(StickAxis.Pitch, new ChannelSpan { Low = new(x), High = new(2000) }),
                    }
                )
        ),
        new(
            "value of a flight state",
            0,
            100,
            1,
            x => Full.WithStep("mode", "state", States(("cruise", 50), ("practice", x)))
        ),
        new(
            "maximum rate with roll off its centre",
            10,
            2000,
            10,
            x => Output("roll", o => o with { Centre = new(0.6) }).WithBoard(b => b with { MaximumRate = new(x) })
        ),
        Scan.Each(
            "wire format",
            Enum.GetValues<WireFormat>(),
            w => Demo.Plain with { Wire = Demo.Plain.Wire with { Format = w } }
        ),
        Scan.Each(
            "receiver's format",
            Enum.GetValues<WireFormat>(),
            w => Demo.Plain with { Wire = Demo.Plain.Wire with { ReceiverSpeaks = w } }
        ),
        Scan.Each("inverter of the port", Enum.GetValues<PortInverter>(), w => Port(p => p with { Inverter = w })),
        Scan.Each("pads of the port", Enum.GetValues<PortPads>(), w => Port(p => p with { Pads = w })),
        Scan.Each(
            "kind of the blended function",
            Enum.GetValues<FunctionKind>(),
            w => Board(b => b with { Functions = b.Functions.Set("blended", f => f with { Kind = w }) })
        ),
        Scan.Each(
            "modules that are on",
            [(true, true), (true, false), (false, true), (false, false)],
            on =>
                Radio(a =>
                    a with
                    {
                        Modules = a
                            .Modules.Set("inside", m => m with { On = on.Item1 })
                            .Set("bay", m => m with { On = on.Item2 }),
                    }
                )
        ),
        Scan.Each(
            "families of module and receiver",
            [
                ("", ""),
                ("plover", ""),
                ("Plover", "Older"),
                ("PLOVER", "older"),
                ("Dunlin", "Older"),
                ("Plover", "Newer"),
                ("", "Newer"),
            ],
            of => Radio(a => a with { Receiver = a.Receiver with { Family = of.Item1, SubFamily = of.Item2 } })
        ),
        Scan.Each(
            "ports set for the receiver, in the board",
            [
                ("", false),
                ("port-1", false),
                ("port-2", false),
                ("port-1 port-2", false),
                ("none", false),
                ("", true),
                ("port-1", true),
                ("none", true),
            ],
            of =>
                Board(b =>
                        b with
                        {
                            Ports = b.Ports.Keys.Aggregate(
                                b.Ports,
                                (ports, id) =>
                                    ports.Set(
                                        id,
                                        p =>
                                            p with
                                            {
                                                ReceiverSet =
                                                    of.Item1.Length == 0
                                                        ? null
                                                        : of.Item1.Contains(id, StringComparison.Ordinal),
                                            }
                                    )
                            ),
                        }
                    )
                    .WithAir(a => a with { Receiver = a.Receiver with { InBoard = of.Item2 } })
        ),
    ];

    [Fact]
    public void Findings_come_and_go_where_they_did() => Recorded.AssertSame("finding-ranges", Scans.SelectMany(Lines));

    private static IEnumerable<string> Lines(Scan scan)
    {
        yield return $"# {scan.Name}";
        string[] before = [];
        foreach (var (range, setup, keys) in scan.Stretches(Keys, k => k))
        {
            yield return $"  {range}: {keys}";
            if (SetupValidator.Check(setup).Count > 0)
                continue;
            var now = Examination.WithTriedFixes(setup);
            foreach (var finding in now.Where(f => !before.Contains(f.Key, StringComparer.Ordinal)))
            {
                yield return $"    {finding.Key}: {finding.Title}. {finding.What} {finding.Why}";
                foreach (
                    var line in finding.Fixes.SelectMany(f =>
                        Recorded.Told(f.Edit).Prepend($"  fix {f.Id}: {f.Effect}")
                    )
                )
                    yield return $"    {line}";
            }

            before = [.. now.Select(f => f.Key)];
        }
    }

    private static string Keys(Setup setup)
    {
        if (SetupValidator.Check(setup) is { Count: > 0 } problems)
            return $"invalid at {problems[0].Place}";
        var findings = Examination.Of(setup);
        return findings.Count > 0 ? string.Join(", ", findings.Select(f => $"{f.Key} ({f.Severity})")) : "nothing";
    }

    private static Setup Board(Func<FlightBoard, FlightBoard> change) => Demo.Plain.WithBoard(change);

    private static Setup Steps(int channel, int steps) =>
        Air(a => a with { ChannelSteps = a.ChannelSteps.Add(new(channel), steps) });

    private static Setup In(LinkRegion region, double frequency) =>
        Air(a => a with { Region = region, Frequency = new(frequency) });

    private static Setup Air(Func<LinkSettings, LinkSettings> change) => Demo.Plain.WithAir(change);

    private static Setup Port(Func<SerialPort, SerialPort> change) =>
        Board(b => b with { Ports = b.Ports.Set(b.ReceiverPort, change) });

    private static Setup Output(string channel, Func<OutputStage, OutputStage> change) =>
        Demo.Plain.WithChannel(channel, c => c with { Output = change(c.Output) });

    private static Setup Forced(double percent) =>
        TwoStage.InModel(m =>
            m with
            {
                Overrides = m.Overrides.Set("first-stage-only", o => o with { Value = new(percent) }),
            }
        );

    private static Setup Limiter(double scale, double shift) =>
        Full.WithStep(
            "throttle",
            "limit-share",
            (MultiplyStep)Full.Model.Channels["throttle"].Steps["limit-share"] with
            {
                With = With(Hand("left-dial"), scale, shift),
            }
        );

    private static Setup Distant(double limit) =>
        Full.WithCondition("far", Sensed("distance", Relation.Above, limit))
            .WithStep(
                "beeper",
                "far",
                new AddStep
                {
                    Order = 99,
                    When = "far",
                    With = With(Constant(1)),
                }
            );
}
