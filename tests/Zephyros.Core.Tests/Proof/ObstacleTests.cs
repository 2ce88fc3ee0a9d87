using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using static Zephyros.Core.Tests.Proof.PlantedParts;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Where the proof cannot tell things apart that the board does, it says so and proves nothing.</summary>
public sealed class ObstacleTests
{
    // Whether any stick is deflected is one bit: with presets for one axis, and the hand on another, it would be two.
    [Theory]
    [InlineData(true, true, 2)]
    [InlineData(true, true, 2, 3)]
    [InlineData(true, false, 2, 3, 4)]
    [InlineData(true, false, 1, 5)]
    [InlineData(false, false, 2)]
    public void Presets_for_some_of_the_sticks_that_bring_the_pilot_back_are_not_proven(
        bool sticksBringBack,
        bool obstructs,
        params int[] presets
    )
    {
        var setup = Presets([.. presets.Select(c => (c, 1100.0))])
            .WithBoard(b =>
                b with
                {
                    // Self-level looks at the sticks as well.
                    Functions = b.Functions.Where(f => f.Value.Kind == FunctionKind.Arm).ToImmutableDictionary(),
                    Loss = b.Loss with
                    {
                        Procedure = LossProcedure.Land,
                        Recovery = sticksBringBack ? FlightRecovery.StickMoved : FlightRecovery.AtOnce,
                    },
                }
            );
        var prover = new Prover(SignalPlan.Compile(setup), Build.Patient);
        var verdict = prover.Prove(
            PromiseList.All.Single(p => p.Code == "loss-is-handled"),
            null,
            TestContext.Current.CancellationToken
        );
        const string Words = "presets for some of roll, pitch and yaw, and not for all";
        Assert.Equal(obstructs, verdict.Reason.Contains(Words, StringComparison.Ordinal));
        if (obstructs)
            Assert.Equal(VerdictKind.NotProven, verdict.Kind);
    }
}
