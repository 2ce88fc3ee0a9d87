using System.Collections.Immutable;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>Holds the throttle at its lowest until the arm switch is put on while the throttle is low.</summary>
/// <remarks>Common practice, no source: both schools of the trade.</remarks>
public sealed class ThrottleLock : IReadyMade
{
    private const string AtOnce = "at-once";
    private const string AtLowThrottle = "at-low-throttle";

    /// <inheritdoc />
    public string Id => "throttle-lock";

    /// <inheritdoc />
    public string Title => "Throttle lock";

    /// <inheritdoc />
    public string Purpose =>
        "The throttle is forced to −100 % until the arm switch is put on with the throttle low. Putting the switch off locks it again: "
        + "at once for a multirotor, since a stop must always work; only at low throttle by the fixed-wing habit.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        var switches = Workshop.Controls(setup, c => c.NamedPositions.Count > 1);
        return
        [
            new("arm", "Armed while", ParameterKind.Positions, Workshop.ArmingPositions(setup)) { Options = switches },
            new("locks", "Locks again", ParameterKind.Choice, AtOnce)
            {
                Options =
                [
                    new(AtOnce, "at once when the arm switch goes off"),
                    new(AtLowThrottle, "only when the throttle is low as well"),
                ],
            },
            new("refuse", "Also refuse while (trim or tuning on)", ParameterKind.Positions, "")
            {
                Options = switches,
                Optional = true,
            },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var throttle = ThrottleTarget.Of(setup, wanted, "arm");
        var (arm, refuse, locks) = (wanted.Positions("arm"), wanted.Positions("refuse"), wanted.Option("locks"));
        if (arm is null || throttle is null || wanted.Problems.Count > 0)
            return null;
        var work = new Workshop(setup);
        var armOn = new HoldsTest { Condition = work.Condition("Arm switch on", arm.Test) };
        var low = new HoldsTest { Condition = work.Condition("Throttle low", ThrottleIsLow(setup)) };
        ImmutableArray<Test> set = [armOn, low];
        if (refuse is not null)
        {
            var tuning = new HoldsTest { Condition = work.Condition("Trim or tuning on", refuse.Test) };
            set = set.Add(new NotTest { Of = [tuning] });
        }

        var off = new NotTest { Of = [armOn] };
        Test clear = locks == AtOnce ? off : new AllTest { Of = [off, low] };
        var latch = new LatchTest { Set = set, Clear = [clear] };
        var unlocked = work.Condition("Throttle unlocked", latch);
        var locked = work.Condition("Throttle locked", new NotTest { Of = [new HoldsTest { Condition = unlocked }] });
        work.Force("Throttle lock", throttle, locked, Percent.Low);
        return new Built(
            work.Setup,
            [ThrottleTarget.Lowest(setup), $"Throttle is low below {setup.Transmitter.ThrottleLow}."]
        );
    }

    internal static CompareTest ThrottleIsLow(Setup setup) =>
        new()
        {
            Value = new ControlSource { Control = setup.Transmitter.StickOf(StickAxis.Throttle)! },
            Relation = Relation.Below,
            Limit = setup.Transmitter.ThrottleLow,
        };
}
