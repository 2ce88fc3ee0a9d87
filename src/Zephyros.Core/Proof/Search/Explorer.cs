using System.Numerics;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Proof.Tables;

namespace Zephyros.Core.Proof.Search;

/// <summary>Looks at every reachable state, breadth first, and stops at the first move that breaks the promise. Deterministic.</summary>
/// <remarks>States that share memory and situation are kept as one set of positions, a bit each. What follows from a movement depends
/// on where it ends and not on where it began, so a set is moved as a whole, and each position that it can be moved to is looked at
/// once. Not safe for use by several threads.</remarks>
internal sealed class Explorer
{
    private const int WordsBetweenBreaths = 1024;

    private readonly ReducedModel model;
    private readonly SituationSystem system;
    private readonly InputGrid grid;
    private readonly ProofLimits limits;
    private readonly Watch watch;
    private readonly MoveGroup[] groups;
    private readonly Func<Exploration, bool>? judge;
    private readonly HashSet<BreakingMove> discarded = [];
    private readonly int movesEach;
    private readonly ByteMeter meter = new();
    private readonly FoundStates found;
    private readonly List<List<StateSet>> levels = [];
    private readonly PassingSet moved;
    private readonly PassingSet half;
    private readonly PassingSet going;
    private readonly PassingSet here;

    // Where the outcomes of the step at hand lead, by their number.
    private (int Step, FoundStates.Place? Place)[] reached = [];
    private int steps;
    private IProgress<ProofProgress>? progress;
    private CancellationToken cancellation;
    private (SpreadStep Step, int Word, ulong Bits, ModelOutcome Outcome)? broken;
    private bool ended;
    private double transitions;

    /// <summary>Gets ready to explore.</summary>
    /// <param name="model">The model.</param>
    /// <param name="watch">Looks at every transition.</param>
    /// <param name="rolesOf">What the movement of an input to a cell is to the promise.</param>
    /// <param name="limits">How far it may go.</param>
    /// <param name="judge">Looks at what breaks the promise; false to look on past that move. Null when every break counts.</param>
    public Explorer(
        ReducedModel model,
        Watch watch,
        Func<ProofInput, int, Roles> rolesOf,
        ProofLimits limits,
        Func<Exploration, bool>? judge
    )
    {
        this.judge = judge;
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
        found = new FoundStates(grid.Words, meter);
        moved = new PassingSet(grid.Words, meter);
        half = new PassingSet(grid.Words, meter);
        going = new PassingSet(grid.Words, meter);
        here = new PassingSet(grid.Words, meter);
    }

    public SituationSystem System => system;

    /// <summary>True to look on past moves that break the promise, so that everything reachable is known.</summary>
    public bool LooksPast { get; set; }

    /// <summary>How many states were found so far.</summary>
    public long States => found.Count;

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
        var rows = model.Rows(0, new(0, OpenComparisons.Everything));
        for (var word = 0; word < grid.Words; word++)
        {
            if (word % WordsBetweenBreaths == 0)
                Breathe();
            if (starts[word] != 0)
                foreach (var row in model.Row(rows, word))
                    found.Add(found.At(row.Outcome.Memory, start), word, row.Positions & starts[word]);
        }

        while (!found.NothingNew)
        {
            var level = found.TakeNew();
            levels.Add(level);
            foreach (var set in level)
            {
                Breathe();
                Follow(set);
                if (ended)
                    return End(ExplorationEnding.Broken);
                if (Bytes > limits.Bytes)
                    return End(ExplorationEnding.OverLimit);
            }
        }

        return End(ExplorationEnding.Exhausted);
    }

    /// <summary>True when a state was found.</summary>
    public bool Found(ProofState state) => found.Has(state);

    /// <summary>Memories and situations that were found together.</summary>
    public IEnumerable<(int Memory, int Situation)> Pairs => found.All.Select(p => (p.Memory, p.Situation));

    /// <summary>The movements, those alike to the promise together.</summary>
    public IReadOnlyList<MoveGroup> Groups => groups;

    /// <summary>The situation after the move that broke the promise, once one has.</summary>
    public Situation AfterBreak => system.After(broken!.Value.Step.Table, broken.Value.Outcome.Reading);

    /// <summary>How many moves that broke the promise were looked past.</summary>
    public int Discarded => discarded.Count;

    /// <summary>How many states there may be at most, as far as situations were found.</summary>
    public double Estimate =>
        grid.Positions
        * Math.Max(1, Math.Min(model.Memory.Bound, model.Memory.Count))
        * Math.Max(1, system.Situations.Count);

    // Says how far it is, and stops when it is told to.
    private void Breathe()
    {
        progress?.Report(new ProofProgress(levels.Count - 1, found.Count, Estimate));
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

    private void Follow(StateSet set)
    {
        var situation = system.Situations[set.Situation];
        var on = situation.Radio != RadioState.Off;
        var count = set.Count;
        Gather(set);
        FollowMovements(set, count, on);
        if (on)
        {
            foreach (var ending in model.Memory.Endings(set.Memory))
                if (system.MayEnd(set.Situation, ending, set.Memory))
                    FollowTime(set, count, MoveKind.ModelTime, ending);
            foreach (var slow in model.Memory.Slow)
                FollowTime(set, count, MoveKind.SlowStep, slow);
        }

        foreach (var happening in system.Happenings(set.Situation))
        {
            if (!system.MayHappen(set.Situation, happening, set.Memory))
                continue;
            transitions += count;
            var memory = happening.Kind == MoveKind.TransmitterOn ? 0 : set.Memory;
            var runs = on || happening.Kind == MoveKind.TransmitterOn;
            var rows = runs ? model.Rows(memory, system.CauseOf(happening)) : null;
            var step = new SpreadStep(
                set,
                new ProofMove(happening.Kind, [], happening.Value),
                system.Steps(set.Situation, happening)
            );
            Spread(step, rows, Happen(set, happening));
        }
    }

    // The positions after something happened: telemetry may go or come with it.
    private PassingSet Happen(StateSet set, Happening happening)
    {
        if (system.Telemetry.After(happening) is not { } cell)
            return here;
        going.Clear();
        for (var i = 0; i < set.Places.Length; i++)
        {
            var (word, bits) = grid.WithAll(model.Scope.TelemetryInput, cell, set.Places[i], set.Words[i]);
            going.Add(word, bits);
        }

        return going;
    }

    private void Gather(StateSet set)
    {
        here.Clear();
        for (var i = 0; i < set.Places.Length; i++)
            here.Add(set.Places[i], set.Words[i]);
    }

    private void FollowTime(StateSet set, long count, MoveKind kind, ulong ending)
    {
        var rows = model.Rows(set.Memory, new RowCause(ending, model.Open.ByParts(ending)));
        var move = new ProofMove(kind, [], model.Memory.EndingNumber(ending));
        transitions += count;
        Spread(new SpreadStep(set, move, system.Steps(set.Situation, new Happening(kind))), rows, here);
    }

    private void FollowMovements(StateSet set, long count, bool on)
    {
        transitions += (double)count * movesEach;
        foreach (var group in groups)
        {
            moved.Clear();
            foreach (var move in group.Moves)
            {
                if (!system.Telemetry.Allows(system.Situations[set.Situation], move))
                    continue;
                Move(move);
                if (move.Length > 1)
                    Breathe();
            }

            var table = system.Steps(set.Situation, new Happening(MoveKind.Input, Roles: group.Roles));
            var rows = on ? model.Rows(set.Memory, new(0, group.Stir)) : null;
            Spread(new SpreadStep(set, null, table, group), rows, moved);
        }
    }

    private void Move((int Input, int Cell)[] move)
    {
        if (move.Length == 1)
        {
            grid.AddMoved(here, move[0].Input, move[0].Cell, moved);
            return;
        }

        half.Clear();
        grid.AddMoved(here, move[0].Input, move[0].Cell, half);
        grid.AddMoved(half, move[1].Input, move[1].Cell, moved);
    }

    // Finds where a step leads from some positions, and what it is worth when it breaks the promise.
    private void Spread(in SpreadStep step, RowTable? rows, PassingSet from)
    {
        if (ended)
            return;
        SpreadFrom(step, rows, from);
        if (broken is null || LooksPast)
            return;
        ended = judge is null || judge(End(ExplorationEnding.Broken));
        if (ended)
            return;
        discarded.Add(Breaking(step));
        broken = null;
    }

    private void SpreadFrom(in SpreadStep step, RowTable? rows, PassingSet from)
    {
        steps++;
        for (var i = 0; i < from.Places.Length; i++)
        {
            if (i % WordsBetweenBreaths == WordsBetweenBreaths - 1)
                Breathe();
            var word = from.Places[i];
            if (rows is null)
                Reach(step, new(new(step.Set.Memory, 0), 0, from[word]), word, from[word]);
            else
                foreach (var row in model.Row(rows, word))
                    if ((from[word] & row.Positions) is var bits and not 0)
                        Reach(step, row, word, bits);
        }
    }

    private void Reach(in SpreadStep step, in OutcomeRow row, int word, ulong bits)
    {
        if (row.Number >= reached.Length)
            Array.Resize(ref reached, 2 * (row.Number + 1));
        ref var known = ref reached[row.Number];
        if (known.Step != steps)
            known = (steps, PlaceAfter(step, row.Outcome));
        if (known.Place is { } place)
            found.Add(place, word, bits);
        else
            Break(step, word, bits, row.Outcome with { Memory = MemoryAfter(step, row.Outcome) });
    }

    // Where an outcome of a step leads; null when it breaks the promise.
    private FoundStates.Place? PlaceAfter(in SpreadStep step, ModelOutcome outcome)
    {
        var next = system.Next(step.Table, outcome.Reading);
        if (next == Watch.Broken)
            return null;
        var memory = MemoryAfter(step, outcome);
        return found.At(memory, system.Ordered(next, step.Set.Memory, memory));
    }

    // A transmitter that goes off forgets; what it last sent is what a receiver may hold.
    private static int MemoryAfter(in SpreadStep step, ModelOutcome outcome) =>
        step.Table.Happening.Kind == MoveKind.TransmitterOff ? 0 : outcome.Memory;

    private void Break(in SpreadStep step, int word, ulong bits, ModelOutcome outcome)
    {
        if (broken is null && !discarded.Contains(Breaking(step)))
            broken = (step, word, bits, outcome);
    }

    private BreakingMove Breaking(in SpreadStep step) =>
        new(step.Set.Memory, system.Situations[step.Set.Situation], step.Table.Happening, step.Move?.Value ?? 0);

    private long Bytes => meter.Bytes + found.PassingBytes + model.Bytes + system.Bytes;

    private Exploration End(ExplorationEnding ending) =>
        new(
            ending,
            found.Count,
            transitions,
            levels.Count - 1,
            Bytes,
            ending == ExplorationEnding.Broken ? Path() : []
        );

    /// <summary>The positions that were found while the transmitter is on, by memory.</summary>
    public IEnumerable<(int Memory, PositionSet Positions)> PositionsWhileOn() =>
        from place in found.All
        where system.Situations[place.Situation].Radio == RadioState.Up
        group place.Positions by place.Memory into same
        select (same.Key, Together(same));

    private PositionSet Together(IEnumerable<PositionSet> sets)
    {
        var all = new PositionSet(grid.Words, meter);
        foreach (var (word, bits) in sets.SelectMany(s => s.Words()))
            all.Add(word, bits);
        return all;
    }

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
        var (step, word, bits, outcome) = broken!.Value;
        var end = new ProofState(word, BitOperations.TrailingZeroCount(bits), outcome.Memory, Watch.Broken);
        var finder = new PathFinder(model, system, grid, groups);
        var last = step.Move is null
            ? finder.MovementInto(step.Set, step.By!, end)
            : (step.Move, Before: finder.Before(step.Set, step.Table.Happening, end));
        var path = new List<(ProofMove? Move, ProofState State)> { (last.Move, end) };
        path.AddRange(PathTo(levels.Count - 1, last.Before));
        path.Reverse();
        return path;
    }
}
