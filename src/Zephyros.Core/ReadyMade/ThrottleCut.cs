using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>Forces the throttle to its lowest value while a switch stands in a chosen position.</summary>
public sealed class ThrottleCut : IReadyMade
{
    /// <inheritdoc />
    public string Id => "throttle-cut";

    /// <inheritdoc />
    public string Title => "Throttle cut";

    /// <inheritdoc />
    public string Purpose =>
        "While the chosen position is taken, the throttle channel is forced to −100 %, past its low end. It does not disarm. "
        + "Put back, the switch lets go only once the throttle stick was low: no switch may add thrust.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup) =>
        [
            new("cut", "Cut while", ParameterKind.Positions, "")
            {
                Options = Workshop.Controls(setup, c => c.NamedPositions.Count > 1),
            },
        ];

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var throttle = ThrottleTarget.Of(setup, wanted, "cut");
        if (wanted.Positions("cut") is not { } cut || throttle is null || wanted.Problems.Count > 0)
            return null;
        var work = new Workshop(setup);
        var on = new HoldsTest { Condition = work.Condition("Cut switch on", cut.Test) };
        var low = new HoldsTest { Condition = work.Condition("Throttle low", ThrottleLock.ThrottleIsLow(setup)) };
        var held = new LatchTest { Set = [on], Clear = [new AllTest { Of = [new NotTest { Of = [on] }, low] }] };
        work.Force("Throttle cut", throttle, work.Condition("Cut held", held), Percent.Low);
        return new Built(work.Setup, [ThrottleTarget.Lowest(setup)]);
    }
}
