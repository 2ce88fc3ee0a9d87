using Zephyros.Core.Bench;
using Zephyros.Core.Hands;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Throttle;

/// <summary>Brings what a throttle response shows on the bench, as a sequence that ends with the movement of the stick.</summary>
/// <param name="prover">Wrote the sequences.</param>
/// <param name="check">What was explored.</param>
/// <param name="response">What was found.</param>
internal sealed class ResponseCourt(Prover prover, PromiseCheck check, ThrottleResponse response)
{
    /// <summary>A verdict on a place: broken when the bench does the same.</summary>
    /// <param name="place">The place.</param>
    /// <param name="meaning">What it means, as a sentence without its circumstances.</param>
    public PromiseVerdict Verdict(ResponsePlace place, string meaning)
    {
        var model = response.Model;
        var (word, bit) = model.Grid.With(response.Stick, place.Cell, place.Word, place.Bit);
        var found = response.Explorer.PathTo(place.Memory, word, bit);
        var steps = prover.WriterFor(check, response.Explorer, model, found).Write().ToList();
        var words = new ProofWords(model.Scope, model.Memory);
        var stick = model.Scope.Inputs[response.Stick];
        foreach (var (input, setting) in place.Settings)
            Move(model.Scope.Inputs[input], setting);
        Move(stick, place.From);
        var from = steps.Count - 1;
        foreach (var passed in place.Passed)
            Move(stick, passed);
        Move(stick, place.To);
        var seen = Play(steps);
        var (before, after) = (seen[from], seen[^1]);
        var confirmed = Math.Sign(Math.Round(after - before)) == Math.Sign(Math.Round(place.After - place.Before));
        return new PromiseVerdict(
            confirmed ? VerdictKind.Broken : VerdictKind.NotProven,
            confirmed ? meaning : $"{meaning} On the simulated bench it did not come out so."
        )
        {
            Path = steps,
        };

        void Move(ProofInput input, double setting)
        {
            var moved = new StepInput(input.Kind, input.Id, setting, setting, setting);
            steps.Add(
                steps[^1] with
                {
                    Kind = MoveKind.Input,
                    Sentence = words.Of(new ProofMove(MoveKind.Input, [], 0), [moved], TimeSpan.Zero),
                    Inputs = [moved],
                    Wait = TimeSpan.Zero,
                    // What moves slowly arrives.
                    Settling = words.SlowTravel() + steps[^1].Settling,
                }
            );
        }
    }

    // What the board takes for the throttle after each step. The steps then tell what the bench did.
    private double[] Play(List<PathStep> steps)
    {
        var replay = new BenchReplay(response.Model.Scope.Plan.Setup, steps);
        var seen = new double[steps.Count];
        while (!replay.AtEnd)
        {
            var told = replay.Tell();
            seen[replay.Played] = Throttle(replay.Bench);
            steps[replay.Played] = told with
            {
                Outcome = $"{told.Outcome} Throttle {Figures.Plain(seen[replay.Played])} µs.",
            };
        }

        return seen;
    }

    private static double Throttle(BenchRun bench) =>
        bench.ReceivedOn(bench.Setup.Board.Map.ChannelOf(StickAxis.Throttle)).Value;
}
