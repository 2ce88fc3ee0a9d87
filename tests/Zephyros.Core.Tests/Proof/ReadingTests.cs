using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Reduced;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>What the reduced model says the board reads.</summary>
public sealed class ReadingTests
{
    // A bit that a check does not look at would tell states apart that are one to it.
    [Theory]
    [MemberData(nameof(Demo.Names), MemberType = typeof(Demo))]
    public void A_reading_has_only_what_is_looked_at(string name)
    {
        var plan = SignalPlan.Compile(Demo.Load(name));
        var prover = new Prover(plan, Patient);
        var seen = new HashSet<bool>();
        foreach (var check in PromiseList.All.SelectMany(p => p.Checks(plan)))
        {
            var model = prover.ModelFor(check);
            var table = model.Rows(0, new(0, OpenComparisons.Everything));
            for (var word = 0; word < model.Grid.Words; word++)
                model.Row(table, word);
            var asks = (model.Scope.Bits & ProofScope.StickLowBit) != 0;
            seen.Add(asks);
            Assert.Equal(asks, model.Readings.Any(r => (r & ProofScope.StickLowBit) != 0));
            Assert.All(model.Readings, r => Assert.Equal(0UL, r & ~model.Scope.Bits & ~ProofScope.OwnBits));
        }

        Assert.Equal(2, seen.Count);
    }
}
