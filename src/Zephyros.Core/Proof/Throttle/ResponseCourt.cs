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
        Move(stick, place.To);
        var (before, after) = Play(steps);
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

    // What the board takes for the throttle before and after the last step. The steps then tell what the bench did.
    private (double Before, double After) Play(List<PathStep> steps)
    {
        var replay = new BenchReplay(response.Model.Scope.Plan.Setup, steps);
        var before = double.NaN;
        while (!replay.AtEnd)
        {
            before = Throttle(replay.Bench);
            var told = replay.Tell();
            steps[replay.Played] = told with
            {
                Outcome = $"{told.Outcome} Throttle {Figures.Plain(Throttle(replay.Bench))} µs.",
            };
        }

        return (before, Throttle(replay.Bench));
    }

    private static double Throttle(BenchRun bench) =>
        bench.ReceivedOn(bench.Setup.Board.Map.ChannelOf(StickAxis.Throttle)).Value;
}
