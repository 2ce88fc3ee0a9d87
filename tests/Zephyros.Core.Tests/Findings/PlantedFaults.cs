using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Goggles;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;
using static Zephyros.Core.Tests.Build;
using static Zephyros.Core.Tests.Findings.FaultGround;

namespace Zephyros.Core.Tests.Findings;

/// <summary>One planted fault for every rule, each made by one change of a setup without faults, and changes that are no faults.</summary>
internal static class PlantedFaults
{
    internal static readonly Setup TwoStage = Demo.Plain.ReadyMade(
        "two-stage-arming",
        ("second", "right-shoulder:2"),
        ("limit", "1060")
    );

    /// <summary>What the finding is called, and the setup that has it.</summary>
    public static IReadOnlyDictionary<string, Setup> All { get; } =
        new Dictionary<string, Setup>(VoiceSetups.Faults.Concat(SensorSetups.Faults), StringComparer.Ordinal)
        {
            ["channel-order"] = Demo.Sandpiper,
            ["arm-function-missing"] = NewSetup.For("Tern", BlankTransmitters.All[0]),
            ["arm-switch-not-reaching:arm"] = Demo.Gannet,
            ["arm-channel-not-carried:arm"] = Demo.Plain.WithArm(f => f with { Aux = 9 }),
            ["arm-band-unreached:arm"] = Demo.Plain.WithArm(f =>
                f with
                {
                    Low = new Microseconds(1300),
                    High = new Microseconds(1700),
                }
            ),
            ["arm-band-shared:arm"] = Demo.ArmOnThreePositions(1300, 2100),
            ["throttle-never-low"] = Demo.Plain.WithBoard(b => b with { ThrottleLow = new Microseconds(1000) }),
            ["function-shadowed:blended"] = Demo.Plain.WithBoard(b =>
                b with
                {
                    Functions = b.Functions.Set("blended", f => f with { Low = new(950), High = new(1200) }),
                }
            ),
            ["reserved-channel-shared:left-front-outer"] = Demo.ArmOnThreePositions(1700, 2100) with
            {
                Air = Demo.Plain.Air with { ReservesArmChannel = true },
            },
            ["band-too-near:arm:left-shoulder:far"] = Demo.Plain.WithArm(f => f with { Low = new(2010) }),
            ["receiver-port-unfit"] = Demo.Plain.WithBoard(b =>
                b with
                {
                    Ports = b.Ports.Set(b.ReceiverPort, p => p with { Inverter = PortInverter.None }),
                }
            ),
            ["module-not-alone"] = Radio(a => a with { Modules = a.Modules.Set("bay", m => m with { On = true }) }),
            ["family-differs:inside"] = Radio(a => a with { Receiver = a.Receiver with { SubFamily = "Newer" } }),
            ["link-steps-too-few:mode:right-front-inner"] = Demo.Plain.WithAir(a =>
                a with
                {
                    ChannelSteps = a.ChannelSteps.Add(new(6), 2),
                }
            ),
            ["band-elsewhere"] = Demo.Plain.WithAir(a =>
                a with
                {
                    Region = LinkRegion.One,
                    Frequency = new Megahertz(915),
                }
            ),
            ["receiver-port-settings"] = ReceiverSet("port-1", "port-2"),
            ["receiver-speaks-other"] = Demo.Plain with
            {
                Wire = Demo.Plain.Wire with { ReceiverSpeaks = WireFormat.Duplex },
            },
            ["receiver-needs-battery"] = Demo.Plain.WithBoard(b =>
                b with
                {
                    Ports = b.Ports.Set(b.ReceiverPort, p => p with { UsbPower = false }),
                }
            ),
            ["quality-overwrites"] = Demo.Plain.WithAir(a => a with { Receiver = a.Receiver with { QualityOn = 5 } }),
            ["stick-reversed:roll"] = Demo.Plain.WithChannel(
                "roll",
                c => c with { Output = c.Output with { Reverse = true } }
            ),
            ["travel-off"] = Demo.Plain.WithEnds("pitch", -80, 80),
            ["stick-not-sent:yaw"] = Demo.Plain.WithChannel("yaw", c => c with { Take = Hand("left-dial") }),
            ["override-not-enabled:throttle-lock"] = Full.InModel(m =>
                m with
                {
                    Overrides = m.Overrides.Set("throttle-lock", o => o with { Enabled = false }),
                }
            ),
            ["announcement-not-enabled:armed"] = ReportedChanges
                .Announce(Full)
                .WithAnnouncement("armed", a => a with { Enabled = false }),
            ["dependency-cycle:condition:one"] = Full.WithCondition("one", Not(Holds("one"))),
            ["condition-stuck:never"] = Full.WithCondition(
                "never",
                All(At("right-shoulder", 1), At("right-shoulder", 2))
            ),
            ["condition-unused:spare"] = Full.WithCondition("spare", At("right-shoulder", 2)),
            ["implausible-limit:far:distance"] = Full.WithCondition("far", Sensed("distance", Relation.Above, 6000)),
            ["battery-level-off:battery-low"] = ReturnFaults.At(4.1),
            ["battery-alarm-unmasked:battery-low"] = ReturnFaults.At(22.2, masked: false, wait: 1000),
            ["alarm-said-once:battery"] = ReturnFaults.Spoken(a => a with { Every = null }),
            ["alarm-too-late:battery-low"] = ReturnFaults.At(20.4),
            ["alarm-too-late:wind"] = ReturnFaults.Way(w => w with { Wind = new(14) }),
            ["voltage-of-wrong-origin:battery-low"] = ReturnFaults.OfReceiver,
            ["sensor-stays-away:voltage"] = ReturnFaults.Silent(ReportWay.Off),
            ["sensor-stays-away:distance"] = ReturnFaults
                .Equipped(e => e with { PositionReceiver = false })
                .WithCondition("far", Sensed("distance", Relation.Above, 900)),
            ["more-decimals-than-accuracy:voltage"] = ReturnFaults.Voltage(v =>
                v with
                {
                    Decimals = 2,
                    Accuracy = new Reading(0.1),
                }
            ),
            ["warning-with-loss:signal-low"] = ReturnFaults.Weak(40, 44),
            ["goggles-item-empty:height"] = GogglesSetups
                .Showing("height", GogglesSetups.Item(GogglesSubject.Height, row: 4))
                .WithBoard(b => b with { Equipment = b.Equipment with { Barometer = false } }),
            ["goggles-item-empty:signal"] = GogglesSetups.Showing(
                "signal",
                GogglesSetups.Item(GogglesSubject.SignalQuality, row: 4)
            ),
            ["goggles-item-empty:time"] = GogglesSetups.Showing(
                "time",
                GogglesSetups.Item(GogglesSubject.ArmedTime, page: 2)
            ),
            ["goggles-signal-mislabelled:signal"] = GogglesSetups.OnChannel(
                GogglesSetups.Showing("signal", GogglesSetups.Item(GogglesSubject.SignalQuality, row: 4)),
                strength: true
            ),
            ["goggles-overlap:voltage:time"] = GogglesSetups.Showing(
                "time",
                GogglesSetups.Item(GogglesSubject.ArmedTime, row: 1, column: 7)
            ),
            ["goggles-first-page-bare"] = GogglesSetups.With(g => g with { Items = g.Items.Remove("voltage") }),
            ["goggles-first-page-crowded"] = GogglesSetups.With(g =>
                g with
                {
                    Items = g.Items.AddRange(
                        Enumerable
                            .Range(4, 4)
                            .Select(row =>
                                KeyValuePair.Create($"more-{row}", GogglesSetups.Item(GogglesSubject.Name, row: row))
                            )
                    ),
                }
            ),
            ["goggles-warning-differs:battery"] = GogglesSetups.With(g => g with { CellWarning = new(3.5) }),
            ["goggles-warning-differs:signal"] = GogglesSetups.Warned(70, 75),
            ["alarm-left-raised:battery-low"] = ReturnFaults.Right.InModel(m =>
                m with
                {
                    Raised = m.Raised.Add("battery-low", new(25)),
                }
            ),
            ["timer-never-starts:flight-time"] = TimerSetups.With(t => t with { While = null }),
            ["timer-starts-unarmed:flight-time"] = TimerSetups.While(At("left-shoulder", 2)),
            ["timer-never-reset:flight-time"] = TimerSetups.With(t => t with { Reset = null }),
            ["timer-reset-too-soon:flight-time"] = TimerSetups.ResetBy(new TelemetryLostTest()),
            ["timer-call-missed:flight-time"] = TimerSetups.With(t => t with { From = new(60_000) }),
            ["timer-button-shared:flight-time-left-button"] = TimerSetups
                .ByButton("left-button")
                .WithChannel("beeper", c => c with { Take = Hand("left-button") }),
            ["no-timer-behind-voltage:battery-low"] = TimerSetups.None,
            ["flight-states-reach-nothing"] = Full.WithChannel("mode", c => c with { Steps = c.Steps.Remove("state") }),
            ["flight-state-unreached:practice"] = Full.WithStates(
                    ("cruise", null),
                    ("shadowed", "limiter-on"),
                    ("practice", "limiter-on")
                )
                .WithStep("mode", "state", States(("cruise", 0), ("practice", 50), ("shadowed", 60))),
            ["flight-states-alike:cruise:practice"] = Full.WithStep(
                "mode",
                "state",
                States(("cruise", 50), ("practice", 50))
            ),
            ["state-cell-forgotten:mode:state:practice"] = Full.WithStep("mode", "state", States(("cruise", 0))),
            ["control-idle:right-dial"] = Full.WithControl("right-dial", c => c with { Alias = "Tilt" }),
            ["control-twice:left-shoulder"] = Full.WithChannel("mode", c => c with { Take = Hand("left-shoulder") }),
            ["channel-unused:spare"] = Full.WithSpareChannel(c => c),
            ["channel-unfed:beeper"] = Full.WithBoard(b =>
                b with
                {
                    Functions = b.Functions.Set("beeper", f => f with { Aux = 8 }),
                }
            ),
            ["channel-unfed:yaw"] = Full.InModel(m => m with { Channels = m.Channels.Remove("yaw") }),
            ["end-beyond-reach:yaw"] = Full.WithEnds("yaw", -130, 100),
            ["end-beyond-reach:pitch"] = (
                Full with
                {
                    Transmitter = Full.Transmitter with { TravelLimit = new Percent(125) },
                }
            ).WithEnds("pitch", -100, 126),
            ["end-off-step:roll"] = Full.WithEnds("roll", -97.66, 97.66),
            ["trim-left-on:yaw"] = Full.InModel(m => m with { Trims = m.Trims.Add("yaw", new Percent(2)) }),
            ["safe-ends-differ"] = Full.WithControl(
                "right-front-inner",
                c => (SwitchControl)c with { Safe = 3, Start = 3 }
            ),
            ["name-does-not-fit:channel:beeper"] = Full.WithChannel("beeper", c => c with { Short = "" }),
            ["name-does-not-fit:condition:limiter-on"] = Full.InModel(m =>
                m with
                {
                    Conditions = m.Conditions.Set("limiter-on", c => c with { Label = " Limiter" }),
                }
            ),
            ["name-does-not-fit:state:cruise"] = Full.InModel(m =>
                m with
                {
                    States = m.States.Set("cruise", s => s with { Label = "Cruising along the cliff" }),
                }
            ),
            ["name-does-not-fit:override:throttle-lock"] = Full.InModel(m =>
                m with
                {
                    Overrides = m.Overrides.Set("throttle-lock", o => o with { Label = "Lock " }),
                }
            ),
            ["name-does-not-fit:control:left-dial"] = Full.WithControl(
                "left-dial",
                c => c with { Alias = "How much throttle there is" }
            ),
            ["limiter-too-low:throttle:limit-share"] = Full.WithStep(
                "throttle",
                "limit-share",
                ((MultiplyStep)Full.Model.Channels["throttle"].Steps["limit-share"]) with
                {
                    With = Build.With(Hand("left-dial"), 50, 50),
                }
            ),
            ["activation-limit-missed:low-end"] = TwoStage.WithEnds("throttle", -88, 97.6),
            ["activation-limit-missed:first-stage-only"] = TwoStage.InModel(m =>
                m with
                {
                    Overrides = m.Overrides.Set("first-stage-only", o => o with { Value = new Percent(-85) }),
                }
            ),
            ["forced-value-held:first-stage-only"] = TwoStage with
            {
                Transmitter = TwoStage.Transmitter with { ForcedPastEnds = false },
            },
            ["unquiet-start:left-shoulder"] = Demo.Plain.WithControl(
                "left-shoulder",
                c => (SwitchControl)c with { Start = 2 }
            ),
        };

    // Two modules, the inner one on and of the receiver's kind.
    internal static Setup Radio(Func<LinkSettings, LinkSettings> change) =>
        Demo.Plain.WithAir(a =>
            change(
                a with
                {
                    Modules = a
                        .Modules.Add("inside", Module(on: true) with { Family = "Plover", SubFamily = "Older" })
                        .Add("bay", Module(on: false)),
                    Receiver = new ReceiverUnit { Family = "plover", SubFamily = "Older" },
                }
            )
        );

    private static RadioModule Module(bool on) => new() { Label = on ? "Inside" : "Bay", On = on };

    private static Setup ReceiverSet(params string[] ports) =>
        Demo.Plain.WithBoard(b =>
            b with
            {
                Ports = b.Ports.ToImmutableDictionary(
                    p => p.Key,
                    p => p.Value with { ReceiverSet = ports.Contains(p.Key) },
                    StringComparer.Ordinal
                ),
            }
        );

    /// <summary>Faults for which no fix can be computed: what is meant only the pilot knows.</summary>
    public static IReadOnlySet<string> WithoutFix { get; } =
        new HashSet<string>(StringComparer.Ordinal)
        {
            "dependency-cycle:condition:one",
            "alarm-too-late:wind",
            "condition-stuck:never",
            "alarm-left-raised:battery-low",
            "goggles-first-page-crowded",
            "timer-never-starts:flight-time",
            "timer-button-shared:flight-time-left-button",
            "flight-states-reach-nothing",
            "flight-state-unreached:practice",
            "flight-states-alike:cruise:practice",
            "control-twice:left-shoulder",
            "function-shadowed:blended",
            "reserved-channel-shared:left-front-outer",
        };

    /// <summary>Changes that are no faults.</summary>
    public static IReadOnlyDictionary<string, Setup> Harmless { get; } =
        new Dictionary<string, Setup>(VoiceSetups.Harmless.Concat(SensorSetups.Harmless), StringComparer.Ordinal)
        {
            ["everything at once"] = Full,
            ["one module on, of the receiver's kind"] = Radio(a => a),
            ["short ends that the board was told"] = Demo
                .Plain.WithEnds("pitch", -78, 78)
                .WithBoard(b =>
                    b with
                    {
                        Spans = b.Spans.Add(StickAxis.Pitch, new ChannelSpan { Low = new(1101), High = new(1899) }),
                    }
                ),
            ["the receiver's port read back"] = ReceiverSet("port-1"),
            ["a receiver in the board and no port set"] = ReceiverSet()
                .WithAir(a => a with { Receiver = a.Receiver with { InBoard = true } }),
            ["three steps for three positions"] = Demo.Plain.WithAir(a =>
                a with
                {
                    ChannelSteps = a.ChannelSteps.Add(new(6), 3).Add(new(5), 2).Add(new(7), 64),
                }
            ),
            ["the quality on a free channel"] = QualityEdits
                .ByReceiver(Demo.Plain, new ChannelNumber(8))
                .ApplyTo(Demo.Plain)
                .Setup!,
            ["two-stage arming"] = TwoStage,
            ["unequal ends for a tilt channel"] = Full.WithEnds("beeper", -120, 125),
            ["a limiter from three quarters up"] = Full.ReadyMade("throttle-cut", ("cut", "right-back-switch:2")),
            ["the fixed-wing lock"] = Demo.Plain.ReadyMade(
                "throttle-lock",
                ("arm", "left-shoulder:2"),
                ("locks", "at-low-throttle")
            ),
            ["forced within the ends"] = Full.InModel(m =>
                m with
                {
                    Overrides = m.Overrides.Set("throttle-lock", o => o with { Value = new Percent(-97.6) }),
                }
            ) with
            {
                Transmitter = Full.Transmitter with { ForcedPastEnds = false },
            },
            ["a trim of zero"] = Full.InModel(m => m with { Trims = m.Trims.Add("yaw", new Percent(0)) }),
            ["a channel that another one takes"] = Full.WithSpareChannel(c => c)
                .WithStep(
                    "beeper",
                    "mix",
                    new AddStep { Order = 99, With = Build.With(new ChannelSource { Channel = "spare" }, 1) }
                ),
            ["goggles as they should be"] = GogglesSetups.Right,
            ["goggles with the quality that the receiver sends"] = GogglesSetups.OnChannel(
                GogglesSetups.Showing("signal", GogglesSetups.Item(GogglesSubject.SignalQuality, row: 4))
            ),
            ["goggles with two items beside each other"] = GogglesSetups.Showing(
                "time",
                GogglesSetups.Item(GogglesSubject.ArmedTime, row: 1, column: 8)
            ),
            ["goggles that warn about where the voice does"] = GogglesSetups.Warned(74, 75),
            ["goggles that do not warn"] = GogglesSetups.With(g => g with { CellWarning = null }),
            ["a timer under load that counts down"] = TimerSetups.Other(("school", "load"), ("from", "150")),
            ["a timer that a button resets"] = TimerSetups.ByButton("left-button"),
            ["a timer that the next battery resets"] = TimerSetups
                .Other(("school", "load"))
                .InModel(m =>
                    m with
                    {
                        Conditions = m.Conditions.Set(
                            "battery-unplugged",
                            c =>
                                c with
                                {
                                    Test = All(
                                        Latch(
                                            All(At("left-shoulder", 1), new TelemetryLostTest()),
                                            At("left-shoulder", 2)
                                        ),
                                        Not(new TelemetryLostTest())
                                    ),
                                }
                        ),
                    }
                ),
            ["a timer with either reset"] = TimerSetups.Other(("reset", "both"), ("button", "right-button")),
            ["a warning ten seconds before the loss"] = ReturnFaults.Weak(75, 38),
            ["an early warning beside a late one"] = ReturnFaults
                .Weak(75, 38)
                .WithCondition("late", Sensed("quality", Relation.Below, 20))
                .InModel(m =>
                    m with
                    {
                        Announcements = m.Announcements.Add(
                            "late",
                            m.Announcements["signal-low"] with
                            {
                                When = "late",
                                Says = "Late",
                            }
                        ),
                    }
                ),
            ["an alarm as it should be"] = ReturnFaults.Right,
            ["an alarm just above what the way home needs"] = ReturnFaults.At(21.95),
            ["no mask, and a delay that is longer than the 0 V of power-up"] = ReturnFaults.At(22.2, masked: false),
            ["a craft whose battery is not written down"] = ReturnFaults.At(18.6) with
            {
                Craft = Demo.Sandpiper.Craft with { Battery = null },
            },
            ["a way home that nothing is asked of"] = ReturnFaults.Way(w =>
                w with
                {
                    Distance = new(0),
                    Height = new(0),
                }
            ),
            ["as many decimals as the accuracy has"] = ReturnFaults.Voltage(v =>
                v with
                {
                    Decimals = 1,
                    Accuracy = new Reading(0.1),
                }
            ),
            ["a piece that nothing asks for is missing"] = ReturnFaults.Equipped(e => e with { Barometer = false }),
            ["a board that reports over a wire of its own"] = ReturnFaults.Silent(ReportWay.OwnWire),
            ["a limit at the sensor's end"] = Full.WithCondition("far", Sensed("distance", Relation.Above, 2999))
                .WithStep(
                    "beeper",
                    "far",
                    new AddStep
                    {
                        Order = 99,
                        When = "far",
                        With = Build.With(Constant(1)),
                    }
                ),
            ["a free control without a name"] = Full.WithControl("right-dial", c => c with { Alias = "" }),
            ["a transmitter that keeps long names"] = Full.WithChannel("beeper", c => c with { Short = "" }) with
            {
                Transmitter = Full.Transmitter with { ShortNames = 0 },
            },
        };

    internal static Setup WithEnds(this Setup setup, string channel, double low, double high) =>
        setup.WithChannel(
            channel,
            c => c with { Output = c.Output with { Low = new Percent(low), High = new Percent(high) } }
        );

    private static Setup WithSpareChannel(this Setup setup, Func<Channel, Channel> change) =>
        setup.InModel(m =>
            m with
            {
                Channels = m.Channels.Add(
                    "spare",
                    change(
                        new Channel
                        {
                            Number = new ChannelNumber(12),
                            Label = "spare",
                            Take = Hand("right-dial"),
                        }
                    )
                ),
            }
        );

    internal static SensorTest Sensed(string sensor, Relation relation, double limit) =>
        new()
        {
            Sensor = sensor,
            Relation = relation,
            Limit = new Reading(limit),
        };
}
