using System.Collections.Immutable;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>A timer of the time in the air or of the time under load, with its calls, and a reset that cannot come in flight.</summary>
/// <remarks>Common practice, no source: both schools of the trade.</remarks>
public sealed class TimerChain : IReadyMade
{
    [Figure(Station.Return, "A throttle stick counts as raised above", ProvenanceKind.OwnAssumption)]
    private static readonly Percent UsualRaised = new(-80);

    [Figure(Station.Return, "A button that resets is held for", ProvenanceKind.OwnAssumption)]
    private static readonly Milliseconds UsualHold = new(2000);

    [Figure(
        Station.Return,
        "A timer that counts down calls out first at",
        ProvenanceKind.CommonPractice,
        Note = "then at 20 s, at 10 s and at its end"
    )]
    private static readonly Milliseconds FirstCall = new(30_000);

    private static readonly ImmutableArray<Milliseconds> LastCalls = [FirstCall, new(20_000), new(10_000), new(0)];

    private const int MinutesCalled = 10;
    private const string Air = "air";
    private const string Load = "load";
    private const string Weighted = "weighted";
    private const string Unplugged = "unplugged";
    private const string Button = "button";
    private const string Both = "both";
    private const string UnpluggedLabel = "Battery unplugged";

    /// <inheritdoc />
    public string Id => "flight-timer";

    /// <inheritdoc />
    public string Title => "Flight timer";

    /// <inheritdoc />
    public string Purpose =>
        "Counts from the first raised throttle until disarming, or only while the throttle is up. A switch that the board refused does not "
        + "start it. It begins anew when the battery is unplugged, which is disarmed and without telemetry together, and not in flight. "
        + "When voltage does not come it is the last that warns.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        var switches = Workshop.Controls(setup, c => c.NamedPositions.Count > 1);
        return
        [
            new("arm", "Armed while", ParameterKind.Positions, Workshop.ArmingPositions(setup)) { Options = switches },
            new("school", "It counts", ParameterKind.Choice, Air)
            {
                Options =
                [
                    new(Air, "from the first raised throttle until disarming"),
                    new(Load, "only while the throttle is up"),
                    new(Weighted, "as fast as the throttle is up"),
                ],
            },
            new("from", "Counts down from (0 counts up)", ParameterKind.Number, "0")
            {
                Unit = "s",
                Minimum = 0,
                Maximum = 7200,
            },
            new("raised", "Throttle is raised above", ParameterKind.Number, Figures.Plain(UsualRaised.Value))
            {
                Unit = "%",
                Minimum = -100,
                Maximum = 99,
            },
            new("reset", "Begins anew by", ParameterKind.Choice, Unplugged)
            {
                Options =
                [
                    new(Unplugged, "the battery that is unplugged"),
                    new(Button, "a button that is held while disarmed"),
                    new(Both, "either of them"),
                ],
            },
            new("button", "Button", ParameterKind.Choice, "")
            {
                Options = Workshop.Controls(setup, c => c is ButtonControl),
                Optional = true,
            },
            new("hold", "Held for", ParameterKind.Number, Figures.Plain(UsualHold.Value / 1000))
            {
                Unit = "s",
                Minimum = 0.1,
                Maximum = 60,
            },
            new("readings", "Lowest and highest readings", ParameterKind.Choice, "yes")
            {
                Options = [new("yes", "begin anew with it"), new("no", "stay")],
            },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var (arm, school, reset) = (wanted.Positions("arm"), wanted.Option("school"), wanted.Option("reset"));
        var (from, raised, hold) = (wanted.Number("from"), wanted.Number("raised"), wanted.Number("hold"));
        var (button, readings) = (wanted.Option("button"), wanted.Option("readings") == "yes");
        if (from is > 0 and < 1)
            wanted.Refuse("from", "A timer counts down from 1 s at least.");
        if (setup.Transmitter.StickOf(StickAxis.Throttle) is not { } stick)
            wanted.Refuse("arm", $"{setup.Transmitter.Name} has no throttle stick.");
        else if (arm?.Control == stick)
            wanted.Refuse("arm", "The throttle stick itself does not arm.");
        if (button.Length == 0 && reset != Unplugged)
            wanted.Refuse("button", "Choose the button that resets it.");
        if (button.Length > 0 && button == arm?.Control)
            wanted.Refuse("button", "The button that arms does not reset.");
        if (arm is null || wanted.Problems.Count > 0)
            return null;
        var work = new Workshop(setup);
        var counts = Counts(work, arm, new Percent(raised), school != Air);
        var press = new AllTest
        {
            Of = [new PressTest { Control = button, AtLeast = new Milliseconds(hold * 1000) }, Disarmed(work, arm)],
        };
        Test again = reset switch
        {
            Unplugged => PlugTest(work, arm),
            Button => press,
            _ => new AnyTest { Of = [PlugTest(work, arm), press] },
        };
        work.Time(
            new FlightTimer
            {
                Label = school == Air ? "Flight time" : "Load time",
                While = counts,
                Weight = school == Weighted ? setup.Transmitter.StickOf(StickAxis.Throttle) : null,
                From = from > 0 ? new Milliseconds(from * 1000) : null,
                Calls = Calls(from),
                Reset = new TimerReset
                {
                    When = work.Condition(reset == Unplugged ? UnpluggedLabel : "Timer reset", again),
                    Readings = readings,
                },
            }
        );
        return new Built(work.Setup, [.. Facts(setup, from, reset)]);
    }

    /// <summary>The id of the condition that holds from the first raised throttle until disarming.</summary>
    internal static string InTheAir(Workshop work, ControlPositions arm) => Counts(work, arm, UsualRaised, load: false);

    /// <summary>The id of the condition that holds while disarmed and without telemetry.</summary>
    internal static string BatteryUnplugged(Workshop work, ControlPositions arm) =>
        work.Condition(UnpluggedLabel, PlugTest(work, arm));

    private static AllTest PlugTest(Workshop work, ControlPositions arm) =>
        new() { Of = [Disarmed(work, arm), new TelemetryLostTest()] };

    private static NotTest Disarmed(Workshop work, ControlPositions arm) => new() { Of = [ArmOn(work, arm)] };

    private static HoldsTest ArmOn(Workshop work, ControlPositions arm) =>
        new() { Condition = work.Condition("Arm switch on", arm.Test) };

    // A board may refuse a switch that went on with the throttle up; then nothing is counted.
    private static string Counts(Workshop work, ControlPositions arm, Percent raised, bool load)
    {
        var (armOn, off) = (ArmOn(work, arm), Disarmed(work, arm));
        var up = new HoldsTest { Condition = work.Condition("Throttle raised", Raised(work.Setup, raised)) };
        var low = new HoldsTest { Condition = work.Condition("Throttle low", ThrottleLock.ThrottleIsLow(work.Setup)) };
        var ready = new LatchTest { Set = [armOn, low], Clear = [off] };
        var armed = new HoldsTest { Condition = work.Condition("Armed at low throttle", ready) };
        return load
            ? work.Condition("Under load", new AllTest { Of = [armed, up] })
            : work.Condition("In the air", new LatchTest { Set = [armed, up], Clear = [off] });
    }

    private static CompareTest Raised(Setup setup, Percent above) =>
        new()
        {
            Value = new ControlSource { Control = setup.Transmitter.StickOf(StickAxis.Throttle)! },
            Relation = Relation.Above,
            Limit = above,
        };

    private static ImmutableArray<Milliseconds> Calls(double from) =>
        from > 0
            ? [.. LastCalls.Where(c => c.Value < from * 1000)]
            : [.. Enumerable.Range(1, MinutesCalled).Select(m => new Milliseconds(m * 60_000))];

    private static IEnumerable<string> Facts(Setup setup, double from, string reset)
    {
        yield return from > 0
            ? $"It calls out {string.Join(", ", Calls(from).Where(c => c.Value > 0).Select(c => c.Words))} before the end, and the end."
            : $"It calls out every minute, up to {MinutesCalled}.";
        if (reset != Button)
            yield return setup.Air.Telemetry
                ? "The transmitter takes disarmed and without telemetry for an unplugged battery: if telemetry fails, disarming resets it."
                : "This link brings no telemetry, so every disarming resets it.";
    }
}
