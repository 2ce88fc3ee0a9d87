using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Model.Running.Ranges;

namespace Zephyros.Core.Proof.Cells;

/// <summary>Cuts the travel of a stick, a dial or a sensor into cells, so that no comparison on the path tells two values of one cell
/// apart, whatever the conditions and the flight state are.</summary>
/// <remarks>Every value of the transmitter's grid is accounted for: a stretch is halved until every comparison is decided in it, or it is
/// a single value. A comparison that depends on a second continuous input may stay undecided; the run on ranges then branches.</remarks>
internal sealed class CellBuilder
{
    // What the input does not move.
    private const char Unmoved = '.';

    // More ways of conditions and states than this behind one chain are not gone through; the proof then says so.
    private const int MostValuations = 4096;

    private readonly ProofScope scope;
    private readonly Action? breath;
    private readonly RangeRun run;
    private readonly double[] grid;
    private readonly int register;
    private readonly ulong source;
    private readonly SortedSet<int> cuts = [0];
    private readonly (int Register, double[] Values)[] dimensions;
    private readonly Op[] comparisons;
    private readonly (int Channel, BoardAtom[] Atoms)[] bits;
    private readonly MemoryPart[] slow;
    private readonly int slowOp;

    /// <summary>Gets ready to cut one input.</summary>
    /// <param name="scope">What matters to the proof.</param>
    /// <param name="register">The register of the input.</param>
    /// <param name="source">Its bit among the continuous sources.</param>
    /// <param name="node">The input in the model's graph.</param>
    /// <param name="grid">Its values, from the lowest.</param>
    /// <param name="slow">The slow steps whose cells are known: what they follow is compared with these.</param>
    /// <param name="slowOp">The place in the program of the slow step that is cut, or -1 for an input.</param>
    /// <param name="breath">Is called now and then; may throw to end it.</param>
    public CellBuilder(
        ProofScope scope,
        int register,
        ulong source,
        ModelNode node,
        double[] grid,
        IReadOnlyList<MemoryPart> slow,
        int slowOp = -1,
        Action? breath = null
    )
    {
        (this.breath, this.slowOp) = (breath, slowOp);
        (this.scope, this.register, this.source, this.grid) = (scope, register, source, grid);
        var plan = scope.Plan.Model;
        var chains = plan
            .Channels.Select((c, i) => (Channel: c, Index: i))
            .Where(c => scope.Relevant.Contains(new ModelNode(NodeKind.Chain, c.Channel.Id)))
            .Where(c => plan.Graph.CarriedTo(new ModelNode(NodeKind.Chain, c.Channel.Id)).Contains(node))
            .ToArray();
        var feeding = chains
            .SelectMany(c => plan.Graph.CarriedTo(new ModelNode(NodeKind.Chain, c.Channel.Id)))
            .ToHashSet();
        run = new RangeRun(plan, feeding, []);
        this.slow = [.. slow.Where(s => chains.Any(c => c.Channel.Id == s.Owner.Id))];
        comparisons = [.. Comparisons(plan, [.. chains.Select(c => c.Channel.Id)])];
        bits =
        [
            .. from chain in chains
            from bit in scope.Atoms.Where(a => a.Channel == chain.Channel.Channel.Number.Value - 1).GroupBy(a => a.Bit)
            select (chain.Index, bit.ToArray()),
        ];
        dimensions = [.. Dimensions(plan, feeding)];
    }

    /// <summary>True when there are too many conditions behind the input's chains to go through them all.</summary>
    public bool TooMany { get; private set; }

    /// <summary>The cells, each as its stretches of places in the grid, in the order of their first value.</summary>
    /// <param name="extra">A place where a cell must begin besides; 0 when there is none.</param>
    /// <returns>The cells, and of each whether something is left open in it.</returns>
    public List<(List<(int From, int UpTo)> Stretches, bool Open)> Cut(int extra)
    {
        if (extra > 0)
            cuts.Add(extra);
        scope.PutAnywhere(run, example: false);
        foreach (var _ in Valuations())
        {
            string? last = null;
            Halve(0, grid.Length - 1, ref last);
        }

        int[] firsts = [.. cuts];
        var cells = new List<(List<(int From, int UpTo)> Stretches, bool Open)>();
        var alike = new Dictionary<string, List<(int From, int UpTo)>>(StringComparer.Ordinal);
        for (var i = 0; i < firsts.Length; i++)
        {
            var stretch = (From: firsts[i], UpTo: i + 1 < firsts.Length ? firsts[i + 1] - 1 : grid.Length - 1);
            var letters = string.Concat(Valuations().Select(_ => Look(stretch.From, stretch.UpTo, out var _)));
            // What another input leaves open may come out differently in two stretches.
            var open = letters.AsSpan().ContainsAny("?!");
            var kind = open ? $"only {i}" : $"{letters} {stretch.From < extra}";
            if (!alike.TryGetValue(kind, out var cell))
            {
                alike.Add(kind, cell = []);
                cells.Add((cell, open));
            }

            cell.Add(stretch);
        }

        return cells;
    }

    /// <summary>The stretches from one end to the other, their edges exact to the last binary digit: what a slow step gives lies on no grid.</summary>
    public List<(double From, double UpTo)> CutExactly()
    {
        var firsts = Cut(0).SelectMany(c => c.Stretches).Select(s => s.From).Where(f => f > 0).Order().ToArray();
        var edges = new SortedSet<double>();
        foreach (var first in firsts)
            FindEdges(grid[first - 1], grid[first], SignatureAt(grid[first - 1]), SignatureAt(grid[first]), edges);
        var cells = new List<(double From, double UpTo)>();
        var from = double.NegativeInfinity;
        foreach (var edge in edges)
        {
            cells.Add((from, edge));
            from = Math.BitIncrement(edge);
        }

        cells.Add((from, double.PositiveInfinity));
        return cells;
    }

    // The last values before something comes out differently.
    private void FindEdges(double low, double high, string atLow, string atHigh, SortedSet<double> edges)
    {
        if (atLow == atHigh)
            return;
        var middle = low + ((high - low) / 2);
        if (middle <= low || middle >= high)
        {
            edges.Add(low);
            return;
        }

        var between = SignatureAt(middle);
        FindEdges(low, middle, atLow, between, edges);
        FindEdges(middle, high, between, atHigh, edges);
    }

    private string SignatureAt(double value) =>
        string.Concat(Valuations().Select(_ => LookAt(new ValueRange(value, value, value, source), out var _)));

    // Puts conditions, flight state and switches through all their combinations, one after the other.
    private IEnumerable<int> Valuations()
    {
        var count = dimensions.Aggregate(1L, (product, d) => Math.Min(product * d.Values.Length, int.MaxValue));
        TooMany = count > MostValuations;
        for (var valuation = 0; valuation < count && !TooMany; valuation++)
        {
            breath?.Invoke();
            var rest = valuation;
            foreach (var (place, values) in dimensions)
            {
                run.Put(place, ValueRange.Exactly(values[rest % values.Length]));
                rest /= values.Length;
            }

            yield return valuation;
        }
    }

    private IEnumerable<Op> Comparisons(ModelPlan plan, HashSet<string> chains)
    {
        var registers = chains.Select(plan.Layout.ChainRegister).Append(register).ToHashSet();
        foreach (var section in plan.Sections.Where(s => scope.Relevant.Contains(s.Node)))
            for (var i = section.First; i < section.First + section.Count; i++)
                if (
                    plan.Program[i].Code is OpCode.Below or OpCode.Above or OpCode.Sensor
                    && registers.Contains(plan.Program[i].A)
                )
                    yield return plan.Program[i];
    }

    // The discrete inputs that the chains read: conditions where a step works or is taken as a value, the flight state, and
    // switches and buttons that are taken as a value.
    private static IEnumerable<(int Register, double[] Values)> Dimensions(ModelPlan plan, HashSet<ModelNode> feeding)
    {
        var conditions = plan.Conditions.Select(plan.Layout.ConditionRegister).ToHashSet();
        var read = new SortedSet<int>();
        var states = false;
        foreach (var section in plan.Sections.Where(s => s.Node.Kind == NodeKind.Chain && feeding.Contains(s.Node)))
            for (var i = section.First; i < section.First + section.Count; i++)
            {
                var op = plan.Program[i];
                if (op.When >= 0)
                    read.Add(op.When);
                if (
                    op.Code is OpCode.Take or OpCode.Replace or OpCode.Add or OpCode.Multiply
                    && conditions.Contains(op.A)
                )
                    read.Add(op.A);
                states |= op.Code == OpCode.State;
            }

        foreach (var condition in read)
            yield return (condition, [0, 1]);
        if (states)
            yield return (
                plan.Layout.StateRegister,
                [.. Enumerable.Range(-1, plan.States.Count + 1).Select(s => (double)s)]
            );
        for (var i = 0; i < plan.Controls.Count; i++)
            if (
                plan.Controls[i] is var (id, control)
                && control.NamedPositions.Count > 0
                && feeding.Contains(new ModelNode(NodeKind.Control, id))
            )
                yield return (i, [.. control.NamedPositions.Select(p => control.Read(p.Setting)!.Value.Value)]);
    }

    private void Halve(int from, int upTo, ref string? last)
    {
        var outcome = Look(from, upTo, out var undecided);
        if (undecided && from < upTo && !SameAtBothEnds(outcome, from, upTo))
        {
            var middle = (from + upTo) / 2;
            Halve(from, middle, ref last);
            Halve(middle + 1, upTo, ref last);
            return;
        }

        if (last is not null && last != outcome)
            cuts.Add(from);
        last = outcome;
    }

    // What a second input leaves open at both ends may stay open in between.
    private bool SameAtBothEnds(string outcome, int from, int upTo) =>
        !outcome.Contains('!', StringComparison.Ordinal)
        && Look(from, from, out _) == outcome
        && Look(upTo, upTo, out _) == outcome;

    // One letter for each comparison: 1, 0, ? for what another input leaves open, ! for what this stretch leaves open.
    private string Look(int from, int upTo, out bool undecided) =>
        LookAt(new ValueRange(grid[from], grid[from], grid[upTo], source), out undecided);

    private string LookAt(ValueRange here, out bool undecided)
    {
        if (slowOp >= 0)
            run.PutSlow(slowOp, here);
        else
            run.Put(register, here);
        run.RunChains();
        var letters = new char[comparisons.Length + bits.Length + slow.Length];
        for (var i = 0; i < slow.Length; i++)
            letters[comparisons.Length + bits.Length + i] = Target(slow[i]);
        for (var i = 0; i < comparisons.Length; i++)
            letters[i] = Letter(comparisons[i]);
        for (var i = 0; i < bits.Length; i++)
        {
            // A bit with several comparisons is set by any of them.
            var channel = bits[i].Atoms[0].Channel;
            var exact = scope.Receive(channel, run.Sent(bits[i].Channel, withOverrides: false));
            var received = exact.Wandering(scope.Wander(channel));
            var surely = Array.Exists(bits[i].Atoms, a => received.Low >= a.From && received.High <= a.UpTo);
            var never = Array.TrueForAll(bits[i].Atoms, a => received.High < a.From || received.Low > a.UpTo);
            // What the wander alone leaves open stays open however finely the stretch is cut.
            letters[comparisons.Length + i] =
                (exact.Sources & source) == 0 ? Unmoved
                : !surely && !never && exact.Low == exact.High && received.Low < received.High ? '?'
                : Letter(exact, surely, never);
        }

        undecided = letters.Any(l => l is '?' or '!');
        return new string(letters);
    }

    // In which of its cells lies what a slow step follows.
    private char Target(MemoryPart part)
    {
        if (part.Op == slowOp || run.SlowTarget(part.Op) is not { } target || (target.Sources & source) == 0)
            return Unmoved;
        var (low, high) = (part.CellOf(target.Low), part.CellOf(target.High));
        if (low == high)
            return (char)('A' + low);
        return target.ExampleDecides ? '!' : '?';
    }

    private char Letter(in Op op)
    {
        if (op.Code == OpCode.Sensor)
        {
            var reading = run.At(op.A);
            var (one, other) = ((reading.Low - op.Q) * op.P, (reading.High - op.Q) * op.P);
            return Letter(reading, Math.Min(one, other) > 0, Math.Max(one, other) <= 0);
        }

        var range = run.At(op.A).Linear(op.P, op.Q);
        if (op.A != register && (range.Sources & source) == 0)
            return Unmoved;
        return op.Code == OpCode.Below
            ? Letter(range, range.High < 0, range.Low >= 0)
            : Letter(range, range.Low > 0, range.High <= 0);
    }

    private static char Letter(ValueRange range, bool surely, bool never)
    {
        if (surely)
            return '1';
        if (never)
            return '0';
        return range.ExampleDecides ? '!' : '?';
    }
}
