using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
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
        new Dictionary<string, Setup>(
            Of(
                VoiceSetups.Faults,
                SensorSetups.Faults,
                ReturnFaults.Faults,
                GogglesSetups.Faults,
                TimerSetups.Faults,
                LossFaults.Faults
            ),
            StringComparer.Ordinal
        )
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
        new Dictionary<string, Setup>(
            Of(
                VoiceSetups.Harmless,
                SensorSetups.Harmless,
                ReturnFaults.Harmless,
                GogglesSetups.Harmless,
                TimerSetups.Harmless,
                LossFaults.Harmless
            ),
            StringComparer.Ordinal
        )
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

    private static IEnumerable<KeyValuePair<string, Setup>> Of(params IReadOnlyDictionary<string, Setup>[] tables) =>
        tables.SelectMany(t => t);
}
