using Zephyros.Core.Bench;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Model.Running.Ranges;
using Zephyros.Core.Proof.Tables;

namespace Zephyros.Core.Proof.Reduced;

/// <summary>The memories that a model can have, numbered as they are found: the state of every part that remembers, and in which order
/// those began that wait for their time to pass. Number 0 is a transmitter that was just switched on. Not safe for use by several
/// threads.</summary>
/// <remarks>Of times the proof keeps no more than this order, and the lengths decide what it allows: of two delays begun together the
/// shorter ends first, equal ones end together; one that began later may end with or before the other only if it is short enough.
/// Every combination that some times allow is allowed; a few that none do are as well, which makes the proof stricter.</remarks>
internal sealed class ReducedMemory
{
    // What ends between two looks of the transmitter at its model ends together.
    private static readonly double Together = BenchTransmitter.ModelPeriod.TotalMilliseconds;

    private readonly IReadOnlyList<MemoryPart> parts;
    private readonly ModelPlan plan;
    private readonly int open;
    private readonly Dictionary<EquatableList<int>, int> numbers = [];
    private readonly List<int[]> found = [];
    private readonly List<ulong[]> endings = [];
    private readonly List<ulong> endingSets = [];

    /// <summary>Begins with a transmitter that was just switched on.</summary>
    public ReducedMemory(ModelPlan plan, IReadOnlyList<MemoryPart> parts, int open)
    {
        (this.plan, this.parts, this.open) = (plan, parts, open);
        Slow = [.. parts.Index().Where(p => p.Item.Code == OpCode.Slow).Select(p => 1UL << p.Index)];
        Number(new int[(2 * parts.Count) + open]);
    }

    /// <summary>How many were found.</summary>
    public int Count => found.Count;

    /// <summary>How many there may be, by their parts alone.</summary>
    public double Bound => parts.Aggregate(1.0, (product, p) => product * p.Count);

    /// <summary>The bytes that they take, about.</summary>
    public long Bytes => found.Count * (100 + (8L * parts.Count));

    /// <summary>The state of a part.</summary>
    public int Part(int memory, int part) => found[memory][part];

    /// <summary>True when a part waits for its time to pass.</summary>
    public bool Waits(int memory, int part) => found[memory][parts.Count + part] > 0;

    /// <summary>True when any part counts time.</summary>
    public bool CountsTime => parts.Any(p => p.Code is OpCode.Delay or OpCode.Press);

    /// <summary>The parts that wait and whose beginning is known, with the place of it in the order, 1 and up.</summary>
    public IEnumerable<(int Part, int Rank)> Waiting(int memory)
    {
        var state = found[memory];
        for (var i = 0; i < parts.Count; i++)
            if (state[parts.Count + i] > 0 && Told(state, i))
                yield return (i, state[parts.Count + i]);
    }

    /// <summary>How many beginnings there are in the order of a memory.</summary>
    public int Began(int memory) => Highest(found[memory].AsSpan(parts.Count, parts.Count));

    /// <summary>How many of the first beginnings of a memory are still among those of the next one.</summary>
    public int StillBefore(int memory, int next, int count)
    {
        var (old, now, last) = (found[memory], found[next], 0);
        for (var i = 0; i < parts.Count; i++)
            if (old[parts.Count + i] is var was and > 0 && was <= count && old[i] == now[i])
                last = Math.Max(last, now[parts.Count + i]);
        return last;
    }

    /// <summary>Which parts can come to their end next, together or alone: sets of parts, a bit each.</summary>
    public IReadOnlyList<ulong> Endings(int memory) => endings[memory] ??= [.. Allowed(found[memory])];

    /// <summary>The slow steps, each as a set of its own: what moves on by itself.</summary>
    public IReadOnlyList<ulong> Slow { get; }

    /// <summary>The number of a set of parts that end together.</summary>
    public int EndingNumber(ulong set)
    {
        var number = endingSets.IndexOf(set);
        if (number < 0)
        {
            number = endingSets.Count;
            endingSets.Add(set);
        }

        return number;
    }

    /// <summary>The sets of parts that were numbered.</summary>
    public IReadOnlyList<ulong> EndingSets => endingSets;

    /// <summary>Puts a run where a memory is.</summary>
    public void Recall(int memory, RangeRun run) => found[memory].AsSpan(0, parts.Count).CopyTo(run.Memory);

    /// <summary>How an open comparison came out last: 1 and more; 0 when it was decided.</summary>
    public int Open(int memory, int index) => found[memory][(2 * parts.Count) + index];

    /// <summary>The memory after a run that began with another.</summary>
    /// <param name="before">The memory before.</param>
    /// <param name="run">The run.</param>
    /// <param name="came">How the open comparisons came out.</param>
    public int After(int before, RangeRun run, ReadOnlySpan<int> came)
    {
        var count = parts.Count;
        var made = new int[(2 * count) + open];
        came.CopyTo(made.AsSpan(2 * count));
        run.Memory.CopyTo(made, 0);
        var old = found[before];
        var last = 0;
        for (var i = 0; i < count; i++)
            if (run.Waiting[i] && old[count + i] > 0 && old[i] == made[i])
                last = Math.Max(last, made[count + i] = old[count + i]);
        for (var i = 0; i < count; i++)
            if (run.Waiting[i] && made[count + i] == 0)
                made[count + i] = last + 1;
        return Ranked(made);
    }

    /// <summary>The memories of some states, with how long each part has waited, NaN for those that do not wait; one for each way in which
    /// open comparisons came out.</summary>
    public IReadOnlyList<int> NumbersOf(IReadOnlyList<int> states, IReadOnlyList<double> waited)
    {
        var made = new int[(2 * parts.Count) + open];
        // What has waited longest began first.
        double[] order =
        [
            .. waited.Where(w => !double.IsNaN(w)).Select(w => Math.Round(w, 3)).Distinct().OrderDescending(),
        ];
        for (var i = 0; i < parts.Count; i++)
        {
            made[i] = states[i];
            made[parts.Count + i] = double.IsNaN(waited[i]) ? 0 : Array.IndexOf(order, Math.Round(waited[i], 3)) + 1;
        }

        var one = found[Ranked(made)].AsSpan(0, 2 * parts.Count).ToArray();
        return [.. Enumerable.Range(0, found.Count).Where(n => found[n].AsSpan(0, one.Length).SequenceEqual(one))];
    }

    /// <summary>How long a part waits, in milliseconds, in the state that it is in.</summary>
    public double Length(int memory, int part) => LengthIn(part, found[memory][part]);

    // The order in which parts began to wait, as ranks from 1 without gaps: the same order is the same memory.
    private int Ranked(int[] made)
    {
        var count = parts.Count;
        if (Highest(made.AsSpan(count, count)) == 0)
            return Number(made);
        int[] ranks = [.. made.Skip(count).Take(count).Where(r => r > 0).Distinct().Order()];
        for (var i = 0; i < count; i++)
            if (made[count + i] > 0)
                made[count + i] = Array.IndexOf(ranks, made[count + i]) + 1;
        return Number(made);
    }

    private int Number(int[] made)
    {
        var key = new EquatableList<int>(made);
        if (!numbers.TryGetValue(key, out var number))
        {
            number = found.Count;
            numbers.Add(key, number);
            found.Add(made);
            endings.Add(null!);
        }

        return number;
    }

    private static int Highest(ReadOnlySpan<int> ranks)
    {
        var highest = 0;
        foreach (var rank in ranks)
            highest = Math.Max(highest, rank);
        return highest;
    }

    private double LengthIn(int part, int state)
    {
        var op = plan.Program[parts[part].Op];
        if (op.Code == OpCode.Delay)
            return state == 0 ? op.P : op.Q;
        return state switch
        {
            MemoryPart.Pulse when parts[part].Count > 2 => Model.Logic.PressTest.PulseLength.Value,
            MemoryPart.PressedEnough when parts[part].Count > 2 => op.Q - op.P,
            _ => op.P,
        };
    }

    private IEnumerable<ulong> Allowed(int[] memory)
    {
        var count = parts.Count;
        int[] waiting = [.. Enumerable.Range(0, count).Where(i => memory[count + i] > 0)];
        return Sets(waiting, 0, 0).Where(s => s != 0 && MayEnd(memory, waiting, s));
    }

    private static IEnumerable<ulong> Sets(int[] waiting, int from, ulong chosen)
    {
        yield return chosen;
        for (var i = from; i < waiting.Length; i++)
            foreach (var set in Sets(waiting, i + 1, chosen | 1UL << waiting[i]))
                yield return set;
    }

    // Two that end together must be able to; one that goes on must be able to end later.
    private bool MayEnd(int[] memory, int[] waiting, ulong set)
    {
        foreach (var one in waiting.Where(w => (set >> w & 1) != 0))
        foreach (var other in waiting.Where(w => w != one))
            if ((set >> other & 1) != 0 ? !MayCoincide(memory, one, other) : !MayOutlast(memory, other, one))
                return false;
        return true;
    }

    private bool MayCoincide(int[] memory, int one, int other)
    {
        var (first, then) = Rank(memory, one) <= Rank(memory, other) ? (one, other) : (other, one);
        var longer = LengthIn(then, memory[then]) - LengthIn(first, memory[first]);
        return Rank(memory, one) == Rank(memory, other) && Told(memory, one) && Told(memory, other)
            ? Math.Abs(longer) < Together
            : longer < Together || !Told(memory, one) || !Told(memory, other);
    }

    // What began earlier or together, and is shorter, is over first.
    private bool MayOutlast(int[] memory, int other, int one)
    {
        if (Rank(memory, other) > Rank(memory, one) || !Told(memory, one) || !Told(memory, other))
            return true;
        return LengthIn(other, memory[other])
            > LengthIn(one, memory[one]) - (Rank(memory, other) < Rank(memory, one) ? Together : 0);
    }

    private int Rank(int[] memory, int part) => memory[parts.Count + part];

    // The second half of a press began when the first was over, which is not the moment at which that was seen.
    private bool Told(int[] memory, int part) =>
        !(parts[part].Code == OpCode.Press && parts[part].Count > 2 && memory[part] == MemoryPart.PressedEnough);
}
