using Zephyros.Core.Hands;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Setups;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Proofs;

/// <summary>Plays a sequence on a bench of its own and writes down what is seen along the path at each step.</summary>
internal static class ProofSteps
{
    /// <summary>The steps with the value of the control that was moved last; the throttle before anything is.</summary>
    public static IReadOnlyList<ProofStepView> Of(Setup setup, IReadOnlyList<PathStep> path)
    {
        if (path.Count == 0)
            return [];
        var replay = new BenchReplay(setup, path);
        var followed = setup.Transmitter.StickOf(StickAxis.Throttle) ?? "";
        var steps = new List<ProofStepView>();
        for (var i = 0; i < path.Count; i++)
        {
            if (i > 0)
                replay.Step();
            if (i > 0 && path[i].Inputs.FirstOrDefault(s => s.Kind == InputKind.Control) is { } moved)
                followed = moved.Id;
            var picture = replay.Bench.Snapshot(followed);
            steps.Add(
                new ProofStepView(
                    path[i].Sentence,
                    path[i].Outcome,
                    path[i].Board.Motors,
                    setup.Transmitter.Controls.TryGetValue(followed, out var control) ? control.Name : "",
                    picture.Trace.Stops,
                    picture.Bars.TryGetValue(StickAxis.Throttle.Word(), out var bar) ? bar.Now : null
                )
            );
        }

        return steps;
    }
}
