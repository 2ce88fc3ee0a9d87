using System.Globalization;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>Arming in two stages: the first switch spins the motors at idle with the controller inactive, the second unlocks the
/// throttle and raises its low end just over the board's activation limit.</summary>
/// <remarks>Common practice, no source.</remarks>
public sealed class TwoStageArming : IReadyMade
{
    // The raised end lies so far above the limit: one step of a coarse transmitter and the rounding of the wire fit in.
    [Figure(
        Station.Board,
        "The second stage of arming lies above the activation limit by",
        ProvenanceKind.CommonPractice,
        Unit = "µs"
    )]
    private const double Above = 10;

    /// <inheritdoc />
    public string Id => "two-stage-arming";

    /// <inheritdoc />
    public string Title => "Two-stage arming";

    /// <inheritdoc />
    public string Purpose =>
        "Armed, the motors idle and the controller stays inactive: a bump cannot make the craft leap, and a bent propeller can be seen. "
        + "A second switch unlocks the throttle and raises its low end just over the board's activation limit. "
        + "Order: second switch off, arm, throttle down, second switch on. Disarm, second switch off.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        var switches = Workshop.Controls(setup, c => c.NamedPositions.Count > 1);
        var limit = setup.Board.ActivationLimit;
        return
        [
            new("arm", "First stage while", ParameterKind.Positions, Workshop.ArmingPositions(setup))
            {
                Options = switches,
            },
            new("second", "Second stage while", ParameterKind.Positions, "") { Options = switches },
            new("limit", "Board's activation limit", ParameterKind.Number, Text(limit?.Value))
            {
                Unit = Microseconds.Symbol,
                Minimum = 900,
                Maximum = 1500,
            },
            new("low", "Throttle must be low to unlock", ParameterKind.Choice, "yes")
            {
                Options =
                [
                    new("yes", "yes: a raised throttle at the second stage does nothing"),
                    new("no", "no: the second switch then adds thrust while the stick is up, which breaks a promise"),
                ],
            },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var throttle = ThrottleTarget.Of(setup, wanted, "arm");
        var (arm, second, limit) = (wanted.Positions("arm"), wanted.Positions("second"), wanted.Number("limit"));
        var mustBeLow = wanted.Option("low") == "yes";
        if (arm is not null && arm.Control == second?.Control)
            wanted.Refuse("second", "Both stages on one control leave no way to arm without unlocking.");
        if (arm is null || second is null || throttle is null || wanted.Problems.Count > 0)
            return null;
        var end = RaisedEnd(setup, limit);
        var channel = setup.Model.Channels[throttle];
        if (end >= channel.Output.Centre)
        {
            wanted.Refuse("limit", $"The low end would be {end}, not below the channel's centre.");
            return null;
        }

        var work = new Workshop(setup);
        var armOn = new HoldsTest { Condition = work.Condition("Arm switch on", arm.Test) };
        var secondOn = new HoldsTest { Condition = work.Condition("Second stage on", second.Test) };
        var low = new HoldsTest { Condition = work.Condition("Throttle low", ThrottleLock.ThrottleIsLow(setup)) };
        Test unlocking = mustBeLow
            ? new LatchTest
            {
                Set = [armOn, secondOn, low],
                Clear = [new NotTest { Of = [armOn] }, new NotTest { Of = [secondOn] }],
            }
            : new AllTest { Of = [armOn, secondOn] };
        var unlocked = work.Condition("Throttle unlocked", unlocking);
        var locked = work.Condition("Throttle locked", new NotTest { Of = [new HoldsTest { Condition = unlocked }] });
        work.Force("First stage only", throttle, locked, Percent.Low);
        work.Put(throttle, channel with { Output = channel.Output with { Low = end } });
        var after = work.Setup with { Board = setup.Board with { ActivationLimit = new Microseconds(limit) } };
        return new Built(after, Facts(setup, limit, end));
    }

    private static IReadOnlyList<string> Facts(Setup setup, double limit, Percent end)
    {
        var scale = setup.Transmitter.Scale;
        return
        [
            $"Unlocked, the throttle's low end is {end}: {scale.ToMicroseconds(end)}, above the activation limit of {Text(limit)} µs.",
            $"Locked, the throttle is forced to {Percent.Low}: {scale.ToMicroseconds(Percent.Low)}, below it.",
            "Both are values on the wire, before a board span rescales them.",
        ];
    }

    // Rounded away from the limit, to the transmitter's grid.
    private static Percent RaisedEnd(Setup setup, double limit)
    {
        var grid = setup.Transmitter.TravelStep.Value;
        var exact = setup.Transmitter.Scale.ToPercent(new Microseconds(limit + Above)).Value;
        return new Percent(Math.Round(Math.Ceiling(Math.Round(exact / grid, 6)) * grid, 6));
    }

    private static string Text(double? value) => value?.ToString(CultureInfo.InvariantCulture) ?? "";
}
