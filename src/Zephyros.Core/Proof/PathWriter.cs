using System.Collections.Immutable;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof;

/// <summary>Writes what an exploration found as steps that can be read and played.</summary>
internal sealed class PathWriter(PromiseCheck check, Explorer explorer, ReducedModel model, Exploration found)
{
    // What two inputs decide together is tried with so many of their values.
    private const int Tries = 60;

    // How often a step of a tried sequence lets a channel tremble.
    private const double TremblesOften = 0.3;

    private readonly ProofWords words = new(model.Scope);

    /// <summary>The sequence with example values, or, where these do not break the promise on the bench, with others of the same cells, or
    /// with channels that tremble as far as they were measured to.</summary>
    /// <returns>The steps, the start first, and whether the bench confirms them.</returns>
    public (IReadOnlyList<PathStep> Path, bool Confirmed) Play()
    {
        var examples = Steps(input => input, _ => ImmutableDictionary<ChannelNumber, Microseconds>.Empty);
        if (Confirms(examples))
            return (examples, true);
        for (var seed = 0; seed < Tries; seed++)
        {
            var random = new Random(seed);
            var varied = Steps(
                input => Vary(input, random),
                _ => ImmutableDictionary<ChannelNumber, Microseconds>.Empty
            );
            if (Confirms(varied))
                return (varied, true);
        }

        foreach (var trembles in Tremblings())
        {
            var trembling = Steps(input => input, trembles);
            if (Confirms(trembling))
                return (trembling, true);
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

    // First one channel in one step, then any of them in any step.
    private IEnumerable<Func<int, IReadOnlyDictionary<ChannelNumber, Microseconds>>> Tremblings()
    {
        var ways = model
            .Scope.Atoms.Select(a => a.Channel)
            .Distinct()
            .Select(c => (Channel: new ChannelNumber(c + 1), By: model.Scope.Wander(c)))
            .Where(w => w.By > 0)
            .SelectMany(w =>
                new[] { (w.Channel, By: new Microseconds(-w.By)), (w.Channel, By: new Microseconds(w.By)) }
            )
            .ToArray();
        if (ways.Length == 0)
            yield break;
        for (var step = found.Path.Count - 1; step > 0; step--)
            foreach (var (channel, by) in ways)
            {
                var only = step;
                var way = new Dictionary<ChannelNumber, Microseconds> { [channel] = by };
                yield return i => i == only ? way : ImmutableDictionary<ChannelNumber, Microseconds>.Empty;
            }

        for (var seed = 0; seed < Tries; seed++)
        {
            var random = new Random(seed);
            yield return _ =>
            {
                var trembles = new Dictionary<ChannelNumber, Microseconds>();
                foreach (var (channel, by) in ways)
                    if (random.NextDouble() < TremblesOften)
                        trembles[channel] = by;
                return trembles;
            };
        }
    }

    private List<PathStep> Steps(
        Func<StepInput, StepInput> choose,
        Func<int, IReadOnlyDictionary<ChannelNumber, Microseconds>> trembles
    )
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
            var beside = trembles(i);
            steps.Add(
                new PathStep(
                    move?.Kind,
                    ProofWords.Trembling(IsStill(i) ? "" : words.Of(move, inputs), beside),
                    inputs,
                    move?.Value ?? 0,
                    situation,
                    ProofWords.Outcome(situation)
                )
                {
                    Trembles = beside,
                    Wait = move is null ? TimeSpan.Zero : words.Wait(move, found.Path[i - 1].State.Memory, model),
                }
            );
        }

        return steps;
    }

    // A switch that goes where it stands does not move; something else is left open.
    private bool IsStill(int step) =>
        found.Path[step].Move is { Kind: MoveKind.Input } move
        && found.Path[step - 1].State is var before
        && move.Moved.All(m =>
            model.Grid.Cell(m.Input, before.Word, before.Bit) == m.Cell
            && Step(model.Scope.Inputs[m.Input], m.Cell) is var input
            && input.From == input.UpTo
        );

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
