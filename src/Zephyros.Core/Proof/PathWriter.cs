namespace Zephyros.Core.Proof;

/// <summary>Writes what an exploration found as steps that can be read and played.</summary>
internal sealed class PathWriter(PromiseCheck check, Explorer explorer, ReducedModel model, Exploration found)
{
    // What two inputs decide together is tried with so many of their values.
    private const int Tries = 60;

    private readonly ProofWords words = new(model.Scope);

    /// <summary>The sequence with example values, or, where these do not break the promise on the bench, with others of the same cells.</summary>
    /// <returns>The steps, the start first, and whether the bench confirms them.</returns>
    public (IReadOnlyList<PathStep> Path, bool Confirmed) Play()
    {
        var examples = Steps(input => input);
        if (Confirms(examples))
            return (examples, true);
        for (var seed = 0; seed < Tries; seed++)
        {
            var random = new Random(seed);
            var varied = Steps(input => Vary(input, random));
            if (Confirms(varied))
                return (varied, true);
        }

        return (examples, false);
    }

    private bool Confirms(IReadOnlyList<PathStep> path)
    {
        var setup = model.Scope.Plan.Setup;
        return check.Goal is { } goal
            ? BenchReplay.Reaches(setup, path, goal, check.Standing)
            : BenchReplay.Confirms(setup, path);
    }

    // Ends and in between of what its cell allows.
    private static StepInput Vary(StepInput input, Random random)
    {
        if (input.From == input.UpTo)
            return input;
        var share = random.Next(4) switch
        {
            0 => 0,
            1 => 1,
            _ => random.NextDouble(),
        };
        return input with { Setting = input.From + (share * (input.UpTo - input.From)) };
    }

    private List<PathStep> Steps(Func<StepInput, StepInput> choose)
    {
        var steps = new List<PathStep>();
        for (var i = 0; i < found.Path.Count; i++)
        {
            var (move, state) = found.Path[i];
            var situation =
                state.Situation == Watch.Broken
                    ? explorer.System.AfterBreak!.Value
                    : explorer.System.Situations[state.Situation];
            StepInput[] inputs = [.. (move is null ? Start(state) : Moved(move)).Select(choose)];
            steps.Add(
                new PathStep(
                    move?.Kind,
                    words.Of(move, inputs),
                    inputs,
                    move?.Value ?? 0,
                    situation,
                    ProofWords.Outcome(situation)
                )
                {
                    Wait = move is null ? TimeSpan.Zero : words.Wait(move, found.Path[i - 1].State.Memory, model),
                }
            );
        }

        return steps;
    }

    private IEnumerable<StepInput> Start(ProofState state) =>
        model.Scope.Inputs.Select((input, n) => Step(input, model.Grid.Cell(n, state.Word, state.Bit)));

    private IEnumerable<StepInput> Moved(ProofMove move) =>
        move.Moved.Select(m => Step(model.Scope.Inputs[m.Input], m.Cell));

    private static StepInput Step(ProofInput input, int cell)
    {
        var made = input.Cells[cell];
        return new(input.Kind, input.Id, made.Example, made.ExampleStretch.From, made.ExampleStretch.UpTo);
    }
}
