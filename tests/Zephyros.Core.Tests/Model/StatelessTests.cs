using System.Collections.Immutable;
using Zephyros.Core.Bench;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Model;

/// <summary>A chain may ask for the flight state of a model that has none: it then lets values through, on the bench and in the proof.</summary>
public sealed class StatelessTests
{
    [Fact]
    public void A_step_by_flight_state_lets_values_through_where_there_is_none()
    {
        var plain = Demo.Plain.InModel(m => m with { States = m.States.Clear() });
        var step = new StateStep { Order = 900, Values = ImmutableDictionary<string, Percent>.Empty };
        var setup = plain.WithChannel("throttle", c => c with { Steps = c.Steps.Add("state", step) });
        Assert.Empty(SetupValidator.Check(setup));
        foreach (var at in new[] { -100, 20, 100 })
            Assert.Equal(Throttle(plain, at), Throttle(setup, at));
        var prover = new Prover(SignalPlan.Compile(setup), new ProofLimits());
        var before = new Prover(SignalPlan.Compile(plain), new ProofLimits());
        foreach (var promise in PromiseList.All)
            Assert.Equal(
                before.Prove(promise, null, TestContext.Current.CancellationToken).Kind,
                prover.Prove(promise, null, TestContext.Current.CancellationToken).Kind
            );
    }

    private static Microseconds Throttle(Setup setup, double at)
    {
        var bench = new BenchRun(setup);
        bench.Move("throttle", at);
        bench.AdvanceTo(TimeSpan.FromSeconds(1));
        return bench.ReceivedOn(setup.Model.Channels["throttle"].Number);
    }
}
