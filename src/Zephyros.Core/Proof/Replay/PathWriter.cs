using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Path.PowerOn;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Replay;

/// <summary>Writes what an exploration found as steps that can be read and played.</summary>
internal sealed class PathWriter(
    PromiseCheck check,
    Explorer explorer,
    ReducedModel model,
    Exploration found,
    InputRoles roles,
    Action breath
)
{
    // What two inputs decide together is tried with so many of their values.
    private const int Tries = 60;

    // A slow step may be looked at anywhere on its way.
    private static readonly double[] SlowShares = [0.5, 0.25, 0.1, 0.02, 1];

    // How often a step of a tried sequence lets a channel tremble.
    private const double TremblesOften = 0.3;

    private readonly ProofWords words = new(model.Scope, model.Memory);
    private IReadOnlyList<(TimeSpan Before, TimeSpan After)> times = [];
    private readonly Situation[] situations =
    [
        .. found.Path.Select(p =>
            p.State.Situation == Watch.Broken ? explorer.AfterBreak : explorer.System.Situations[p.State.Situation]
        ),
    ];

    private IReadOnlyList<(TimeSpan Before, TimeSpan After)> Times() =>
        PathSchedule.Of(
            model,
            explorer.System,
            found.Path,
            situations,
            i => words.Wait(found.Path[i].Move!, found.Path[i - 1].State.Memory)
        );

    /// <summary>The sequence with example values, or, where these do not break the promise on the bench, with others of the same cells, or
    /// with channels that tremble as far as they were measured to.</summary>
    /// <returns>The steps, the start first, and whether the bench confirms them.</returns>
    public (IReadOnlyList<PathStep> Path, bool Confirmed) Play()
    {
        IReadOnlyList<PathStep>? examples = null;
        foreach (var path in Candidates())
        {
            if (Confirm(path) is { } played)
                return (WithPlainStart(path, played), true);
            examples ??= path;
        }

        return (examples!, false);
    }

    private IEnumerable<IReadOnlyList<PathStep>> Candidates()
    {
        times = Times();
        var still = ImmutableDictionary<ChannelNumber, Microseconds>.Empty;
        yield return Steps(input => input, _ => still);
        var slow = model.Memory.Slow.Count > 0;
        for (var seed = 0; seed < Tries; seed++)
        {
            var random = new Random(seed);
            if (slow)
            {
                words.SlowShare = SlowShares[seed % SlowShares.Length];
                times = Times();
            }

            // The first tries with slow steps keep the examples.
            var keeps = slow && seed < SlowShares.Length;
            yield return Steps(input => keeps ? input : Vary(input, random), _ => still);
        }

        if (Wanders().Length > 0)
            yield return Fitting();
        foreach (var trembles in Tremblings())
            yield return Steps(input => input, trembles);
    }

    // What stands elsewhere at the start only because the search met it there first stands where it always starts, when the bench shows that
    // it makes no difference.
    private IReadOnlyList<PathStep> WithPlainStart(IReadOnlyList<PathStep> path, IReadOnlyList<PathStep> played)
    {
        var wanted = check.DeclaredStart
            ? PowerOnCheck
                .Of(model.Scope.Plan)
                .Where(i => i.Warns)
                .Select(i => i.Control)
                .ToHashSet(StringComparer.Ordinal)
            : [];
        foreach (var input in path[0].Inputs)
        {
            if (
                words.IsAtStart(input)
                || wanted.Contains(input.Id)
                || path.Skip(1).Any(s => s.Inputs.Any(i => (i.Kind, i.Id) == (input.Kind, input.Id)))
            )
                continue;
            var at = words.StartOf(input);
            StepInput[] inputs =
            [
                .. path[0].Inputs.Select(i => i == input ? i with { Setting = at, From = at, UpTo = at } : i),
            ];
            var sentence = ProofWords.Trembling(words.Of(null, inputs, TimeSpan.Zero), path[0].Trembles);
            PathStep[] plainer = [path[0] with { Inputs = inputs, Sentence = sentence }, .. path.Skip(1)];
            if (Confirm(plainer) is { } also && also.Count == played.Count)
                (path, played) = (plainer, also);
        }

        return played;
    }

    /// <summary>The sequence with example values, as it was found; nothing is played.</summary>
    public IReadOnlyList<PathStep> Write()
    {
        times = Times();
        return Steps(input => input, _ => ImmutableDictionary<ChannelNumber, Microseconds>.Empty);
    }

    /// <summary>The sequence with example values, with what the bench did.</summary>
    public IReadOnlyList<PathStep> PlayToEnd()
    {
        var path = Write();
        var replay = new BenchReplay(model.Scope.Plan.Setup, path);
        var played = new List<PathStep> { path[0] };
        while (!replay.AtEnd)
            played.Add(replay.Tell());
        return played;
    }

    // Plays the steps; what the promise sees must break it. The steps then tell what the bench did.
    private List<PathStep>? Confirm(IReadOnlyList<PathStep> path)
    {
        breath();
        var replay = new BenchReplay(model.Scope.Plan.Setup, path);
        var witness = new BenchWitness(replay.Bench, check, model.Scope, roles);
        var played = new List<PathStep> { path[0] };
        while (!replay.AtEnd)
        {
            played.Add(replay.Tell());
            var broken = witness.See(path[replay.Played]);
            if (check.Goal is { } goal ? goal(replay.Bench.Board, new BoardView(witness.View())) : broken)
                return played;
        }

        return null;
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

    // In every step the tremble with which the board on the bench does what the sequence says, if there is one.
    private List<PathStep> Fitting()
    {
        var still = ImmutableDictionary<ChannelNumber, Microseconds>.Empty;
        // What the promise looks at may ask for more of a tremble than the board does, so none comes last.
        IReadOnlyDictionary<ChannelNumber, Microseconds>[] options =
        [
            .. Wanders().Select(w => new Dictionary<ChannelNumber, Microseconds> { [w.Channel] = w.By }),
            still,
        ];
        var chosen = new List<IReadOnlyDictionary<ChannelNumber, Microseconds>> { still };
        for (var i = 1; i < found.Path.Count; i++)
        {
            var fits = options.FirstOrDefault(o =>
                Plays(
                    Steps(
                        input => input,
                        n =>
                            n < i ? chosen[n]
                            : n == i ? o
                            : still
                    ),
                    i
                )
            );
            chosen.Add(fits ?? still);
        }

        return Steps(input => input, n => chosen[n]);
    }

    private bool Plays(List<PathStep> steps, int upTo)
    {
        breath();
        var replay = new BenchReplay(model.Scope.Plan.Setup, steps);
        var same = true;
        while (replay.Played < upTo)
            same = replay.Step();
        return same;
    }

    // First one channel in one step, then any of them in any step.
    private IEnumerable<Func<int, IReadOnlyDictionary<ChannelNumber, Microseconds>>> Tremblings()
    {
        var wanders = Wanders();
        if (wanders.Length == 0)
            yield break;
        for (var step = found.Path.Count - 1; step > 0; step--)
            foreach (var (channel, by) in wanders)
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
                foreach (var (channel, by) in wanders)
                    if (random.NextDouble() < TremblesOften)
                        trembles[channel] = by;
                return trembles;
            };
        }
    }

    private (ChannelNumber Channel, Microseconds By)[] Wanders() =>
        model
            .Scope.Atoms.Select(a => a.Channel)
            .Distinct()
            .Select(c => (Channel: new ChannelNumber(c + 1), By: model.Scope.Wander(c)))
            .Where(w => w.By > 0)
            .SelectMany(w =>
                new[] { (w.Channel, By: new Microseconds(-w.By)), (w.Channel, By: new Microseconds(w.By)) }
            )
            .ToArray();

    private List<PathStep> Steps(
        Func<StepInput, StepInput> choose,
        Func<int, IReadOnlyDictionary<ChannelNumber, Microseconds>> trembles
    )
    {
        var steps = new List<PathStep>();
        for (var i = 0; i < found.Path.Count; i++)
        {
            var (move, state) = found.Path[i];
            var situation = situations[i];
            StepInput[] inputs = [.. (move is null ? Start(state) : Moved(move)).Select(choose)];
            var beside = trembles(i);
            steps.Add(
                new PathStep(
                    move?.Kind,
                    ProofWords.Trembling(
                        IsStill(i) ? "" : words.Of(move, inputs, times[i].Before, IsMissed(state)),
                        beside
                    ),
                    inputs,
                    move?.Value ?? 0,
                    situation,
                    ProofWords.Outcome(situation)
                )
                {
                    Trembles = beside,
                    Wait = times[i].Before,
                    Settling = times[i].After,
                }
            );
        }

        return steps;
    }

    private bool IsMissed(ProofState state) =>
        model.Scope.TelemetryInput is >= 0 and var input
        && model.Grid.Cell(input, state.Word, state.Bit) == ProofScope.TelemetryLost;

    // A switch that goes where it stands does not move; something else is left open.
    private bool IsStill(int step) =>
        found.Path[step].Move is { Kind: MoveKind.Tremble }
        || found.Path[step].Move is { Kind: MoveKind.Input } move
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

    private StepInput Step(ProofInput input, int cell)
    {
        var made = input.Cells[cell];
        // The end of a dial or stick that the promise names, where the cell holds it.
        if (check.Named is { } named && named.Control == input.Id && made.Covers(named.Setting))
            return new(input.Kind, input.Id, named.Setting, named.Setting, named.Setting);
        return new(input.Kind, input.Id, made.Example, made.ExampleStretch.From, made.ExampleStretch.UpTo);
    }
}
