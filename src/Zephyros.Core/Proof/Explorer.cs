using System.Numerics;
using System.Runtime.InteropServices;

namespace Zephyros.Core.Proof;

/// <summary>Looks at every reachable state, breadth first, and stops at the first move that breaks the promise. Deterministic.</summary>
/// <remarks>States that share memory and situation are kept as one set of positions, a bit each. What follows from a movement depends
/// on where it ends and not on where it began, so a set is moved as a whole, and each position that it can be moved to is worked out
/// once. Not safe for use by several threads.</remarks>
internal sealed class Explorer
{
    private const int WordsBetweenBreaths = 1024;
    private const int ReachedBetweenBreaths = 1 << 14;

    private readonly ReducedModel model;
    private readonly SituationSystem system;
    private readonly InputGrid grid;
    private readonly ProofLimits limits;
    private readonly Watch watch;
    private readonly MoveGroup[] groups;
    private readonly IReadOnlySet<BreakingMove> discarded;
    private readonly int movesEach;
    private readonly Dictionary<(int Memory, int Situation), ulong[]> seen = [];
    private readonly SortedDictionary<(int Situation, int Memory), ulong[]> fresh = [];
    private readonly List<List<StateSet>> levels = [];
    private readonly ulong[] moved;
    private IProgress<ProofProgress>? progress;
    private CancellationToken cancellation;
    private (StateSet From, ProofMove? Move, int Word, ulong Bits, ModelOutcome Outcome)? broken;
    private BreakingMove brokenBy;
    private MoveGroup? brokenIn;
    private long bytes;
    private long states;
    private double transitions;
    private int reached;

    /// <summary>Gets ready to explore.</summary>
    /// <param name="model">The model.</param>
    /// <param name="watch">Looks at every transition.</param>
    /// <param name="rolesOf">What the movement of an input to a cell is to the promise.</param>
    /// <param name="limits">How far it may go.</param>
    /// <param name="discarded">Moves that break the promise and do not count; what follows from them is not looked at.</param>
    public Explorer(
        ReducedModel model,
        Watch watch,
        Func<ProofInput, int, Roles> rolesOf,
        ProofLimits limits,
        IReadOnlySet<BreakingMove> discarded
    )
    {
        this.discarded = discarded;
        (this.model, this.watch, this.limits, grid) = (model, watch, limits, model.Grid);
        system = new SituationSystem(model, watch);
        var single = SingleMoves().ToArray();
        var all = limits.TwoHands ? single.Concat(PairMoves(single)) : single;
        // What only looks at switching on sees no hand move, but telemetry comes and changes all the same.
        if (!watch.HandsMove)
            all = all.Where(move => move.All(m => model.Scope.Inputs[m.Input].Kind != InputKind.Control));
        Roles RolesOf((int Input, int Cell)[] move) =>
            move.Aggregate(Roles.None, (roles, m) => roles | rolesOf(model.Scope.Inputs[m.Input], m.Cell));
        groups =
        [
            .. all.GroupBy(m => (Roles: RolesOf(m), Stir: model.Open.ByInputs(m.Select(i => i.Input))))
                .Select(g => new MoveGroup(g.Key.Roles, g.Key.Stir, [.. g])),
        ];
        movesEach = Enumerable.Range(0, grid.Count).Sum(i => grid.CellsOf(i) - 1);
        moved = new ulong[grid.Words];
    }

    public SituationSystem System => system;

    /// <summary>How many states were found so far.</summary>
    public long States => states;

    /// <summary>Explores from some positions: transmitter just switched on, craft without power.</summary>
    /// <param name="starts">The positions, one bit each.</param>
    /// <param name="progress">Is told how far it has come, or null.</param>
    /// <param name="cancellation">Ends it.</param>
    /// <exception cref="OperationCanceledException">It was cancelled.</exception>
    public Exploration Explore(
        ReadOnlySpan<ulong> starts,
        IProgress<ProofProgress>? progress,
        CancellationToken cancellation
    )
    {
        (this.progress, this.cancellation) = (progress, cancellation);
        var start = system.Start();
        for (var word = 0; word < grid.Words; word++)
        {
            if (word % WordsBetweenBreaths == 0)
                Breathe();
            if (starts[word] != 0)
                foreach (var row in model.Row(0, word, new(0, OpenComparisons.Everything)))
                    Add(row.Outcome.Memory, start, word, row.Positions & starts[word]);
        }

        while (fresh.Count > 0)
        {
            var level = Close();
            levels.Add(level);
            foreach (var set in level)
            {
                Breathe();
                Follow(set);
                if (broken is not null && !limits.LookPast)
                    return End(ExplorationEnding.Broken);
                if (bytes + model.Bytes + system.Bytes > limits.Bytes)
                    return End(ExplorationEnding.OverLimit);
            }
        }

        return End(ExplorationEnding.Exhausted);
    }

    /// <summary>True when a state was found; its position is given as word and bit.</summary>
    public bool Found(ProofState state) =>
        seen.TryGetValue((state.Memory, state.Situation), out var words) && (words[state.Word] >> state.Bit & 1) != 0;

    /// <summary>The movements, those alike to the promise together.</summary>
    public IReadOnlyList<MoveGroup> Groups => groups;

    /// <summary>The move that broke the promise, once one has.</summary>
    public BreakingMove BrokenBy => brokenBy;

    /// <summary>How many states there may be at most, as far as situations were found.</summary>
    public double Estimate =>
        grid.Positions
        * Math.Max(1, Math.Min(model.Memory.Bound, model.Memory.Count))
        * Math.Max(1, system.Situations.Count);

    // Says how far it is, and stops when it is told to.
    private void Breathe()
    {
        progress?.Report(new ProofProgress(levels.Count - 1, states, Estimate));
        cancellation.ThrowIfCancellationRequested();
        model.Breath?.Invoke();
    }

    private IEnumerable<(int Input, int Cell)[]> SingleMoves()
    {
        for (var input = 0; input < grid.Count; input++)
        for (var cell = 0; cell < grid.CellsOf(input); cell++)
            yield return [(input, cell)];
    }

    private static IEnumerable<(int Input, int Cell)[]> PairMoves((int Input, int Cell)[][] single) =>
        from one in single
        from other in single
        where one[0].Input < other[0].Input
        select new[] { one[0], other[0] };

    // The states that are new since the level before become a level.
    private List<StateSet> Close()
    {
        var level = new List<StateSet>(fresh.Count);
        foreach (var ((situation, memory), words) in fresh)
        {
            int[] places = [.. Enumerable.Range(0, words.Length).Where(w => words[w] != 0)];
            var set = new StateSet(memory, situation, places, [.. places.Select(p => words[p])]);
            bytes += 12L * places.Length;
            level.Add(set);
        }

        bytes -= 8L * grid.Words * fresh.Count;
        fresh.Clear();
        return level;
    }

    private void Follow(StateSet set)
    {
        var situation = system.Situations[set.Situation];
        var on = situation.Radio != RadioState.Off;
        FollowMovements(set, on);
        if (on)
        {
            foreach (var ending in model.Memory.Endings(set.Memory))
                FollowTime(set, MoveKind.ModelTime, ending);
            foreach (var slow in model.Memory.Slow)
                FollowTime(set, MoveKind.SlowStep, slow);
        }

        foreach (var happening in system.Happenings(set.Situation))
        {
            transitions += set.Count;
            var memory = happening.Kind == MoveKind.TransmitterOn ? 0 : set.Memory;
            var runs = on || happening.Kind == MoveKind.TransmitterOn;
            var table = system.Steps(set.Situation, happening);
            for (var i = 0; i < set.Places.Length; i++)
                Happen(set, table, i, memory, runs);
        }
    }

    private void Happen(StateSet set, StepTable table, int index, int memory, bool runs)
    {
        var happening = table.Happening;
        var (word, bits) = (set.Places[index], set.Words[index]);
        if (system.TelemetryAfter(happening) is { } cell)
            (word, bits) = grid.WithAll(model.Scope.TelemetryInput, cell, word, bits);
        var move = new ProofMove(happening.Kind, [], happening.Value);
        if (!runs)
        {
            Reach(set, move, table, word, bits, new ModelOutcome(memory, 0));
            return;
        }

        foreach (var row in model.Row(memory, word, system.CauseOf(happening)))
        {
            // A transmitter that goes off forgets; what it last sent is what a receiver may hold.
            var after = happening.Kind == MoveKind.TransmitterOff ? row.Outcome with { Memory = 0 } : row.Outcome;
            Reach(set, move, table, word, bits & row.Positions, after);
        }
    }

    private void FollowTime(StateSet set, MoveKind kind, ulong ending)
    {
        var table = system.Steps(set.Situation, new Happening(kind));
        var cause = new RowCause(ending, model.Open.ByParts(ending));
        var move = new ProofMove(kind, [], model.Memory.EndingNumber(ending));
        for (var i = 0; i < set.Places.Length; i++)
            foreach (var row in model.Row(set.Memory, set.Places[i], cause))
            {
                var bits = set.Words[i] & row.Positions;
                transitions += BitOperations.PopCount(bits);
                Reach(set, move, table, set.Places[i], bits, row.Outcome);
            }
    }

    private void FollowMovements(StateSet set, bool on)
    {
        transitions += (double)set.Count * movesEach;
        var from = new ulong[grid.Words];
        for (var i = 0; i < set.Places.Length; i++)
            from[set.Places[i]] = set.Words[i];
        foreach (var group in groups)
        {
            var (roles, stir, moves) = group;
            Array.Clear(moved);
            foreach (var move in moves)
            {
                if (!system.Allows(set.Situation, move))
                    continue;
                Move(from, move);
                if (move.Length > 1)
                    Breathe();
            }

            var table = system.Steps(set.Situation, new Happening(MoveKind.Input, Roles: roles));
            for (var word = 0; word < moved.Length; word++)
            {
                if (word % WordsBetweenBreaths == 0)
                    Breathe();
                if (moved[word] == 0)
                    continue;
                if (!on)
                    Reach(set, null, table, word, moved[word], new ModelOutcome(0, 0), group);
                else
                    foreach (var row in model.Row(set.Memory, word, new(0, stir)))
                        Reach(set, null, table, word, moved[word] & row.Positions, row.Outcome, group);
            }
        }
    }

    private void Move(ulong[] from, (int Input, int Cell)[] move)
    {
        if (move.Length == 1)
        {
            grid.AddMoved(from, move[0].Input, move[0].Cell, moved);
            return;
        }

        var half = new ulong[grid.Words];
        grid.AddMoved(from, move[0].Input, move[0].Cell, half);
        grid.AddMoved(half, move[1].Input, move[1].Cell, moved);
    }

    private void Reach(
        StateSet set,
        ProofMove? move,
        StepTable table,
        int word,
        ulong bits,
        ModelOutcome outcome,
        MoveGroup? by = null
    )
    {
        if (bits == 0 || (broken is not null && !limits.LookPast))
            return;
        if (++reached % ReachedBetweenBreaths == 0)
            Breathe();
        var next = system.Next(table, outcome.Reading);
        if (next != Watch.Broken)
            Add(outcome.Memory, next, word, bits);
        else if (broken is null && !discarded.Contains(Breaking(set, move, table.Happening)))
            (broken, brokenBy, brokenIn) = ((set, move, word, bits, outcome), Breaking(set, move, table.Happening), by);
    }

    private BreakingMove Breaking(StateSet set, ProofMove? move, Happening happening) =>
        new(set.Memory, system.Situations[set.Situation], happening, move?.Value ?? 0);

    private void Add(int memory, int situation, int word, ulong bits)
    {
        ref var known = ref CollectionsMarshal.GetValueRefOrAddDefault(seen, (memory, situation), out _);
        if (known is null)
        {
            known = new ulong[grid.Words];
            bytes += 8L * grid.Words;
        }

        var added = bits & ~known[word];
        if (added == 0)
            return;
        known[word] |= added;
        states += BitOperations.PopCount(added);
        if (!fresh.TryGetValue((situation, memory), out var words))
        {
            fresh[(situation, memory)] = words = new ulong[grid.Words];
            bytes += 8L * grid.Words;
        }

        words[word] |= added;
    }

    private Exploration End(ExplorationEnding ending) =>
        new(
            ending,
            states,
            transitions,
            levels.Count - 1,
            bytes + model.Bytes + system.Bytes,
            ending == ExplorationEnding.Broken ? Path() : []
        );

    /// <summary>The positions that were found while the transmitter is on, by memory.</summary>
    public IEnumerable<(int Memory, ulong[] Words)> PositionsWhileOn() =>
        from known in seen
        where system.Situations[known.Key.Situation].Radio == RadioState.Up
        group known.Value by known.Key.Memory into same
        select (
            same.Key,
            same.Aggregate(
                new ulong[grid.Words],
                (all, words) =>
                {
                    for (var i = 0; i < all.Length; i++)
                        all[i] |= words[i];
                    return all;
                }
            )
        );

    /// <summary>The shortest way to a position with a memory, the transmitter on, if it can be with the craft powered.</summary>
    public Exploration PathTo(int memory, int word, int bit)
    {
        var places =
            from depth in Enumerable.Range(0, levels.Count)
            from set in levels[depth]
            where set.Memory == memory && set.Contains(word, bit)
            let situation = system.Situations[set.Situation]
            where situation.Radio == RadioState.Up
            orderby !situation.Board.HasSignal, depth
            select (depth, set.Situation);
        var (level, there) = places.First();
        var path = PathTo(level, new ProofState(word, bit, memory, there));
        path.Reverse();
        return End(ExplorationEnding.Exhausted) with { Path = path };
    }

    /// <summary>The shortest way to a state in which the promise remembers something.</summary>
    public Exploration PathToMemory()
    {
        var (level, set) = levels
            .SelectMany((sets, depth) => sets.Select(s => (depth, Set: s)))
            .First(s => system.Situations[s.Set.Situation].Monitor != 0);
        var bit = BitOperations.TrailingZeroCount(set.Words[0]);
        var path = PathTo(level, new ProofState(set.Places[0], bit, set.Memory, set.Situation));
        path.Reverse();
        return End(ExplorationEnding.Exhausted) with { Path = path };
    }

    // The way to a state of a level, the last move first.
    private List<(ProofMove? Move, ProofState State)> PathTo(int level, ProofState state)
    {
        var finder = new PathFinder(model, system, grid, groups);
        var path = new List<(ProofMove? Move, ProofState State)>();
        for (var before = level - 1; before >= 0; before--)
        {
            var (step, earlier) = finder.Into(levels[before], state);
            path.Add((step, state));
            state = earlier;
        }

        path.Add((null, state));
        return path;
    }

    private List<(ProofMove? Move, ProofState State)> Path()
    {
        var (from, move, word, bits, outcome) = broken!.Value;
        var end = new ProofState(word, BitOperations.TrailingZeroCount(bits), outcome.Memory, Watch.Broken);
        var finder = new PathFinder(model, system, grid, groups);
        var last = move is null
            ? finder.MovementInto(from, brokenIn!, end)
            : (Move: move, Before: finder.Before(from, brokenBy.Happening, end));
        var path = new List<(ProofMove? Move, ProofState State)> { (last.Move, end) };
        path.AddRange(PathTo(levels.Count - 1, last.Before));
        path.Reverse();
        return path;
    }
}
