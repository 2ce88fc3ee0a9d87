using System.Numerics;
using System.Runtime.InteropServices;
using Zephyros.Core.Board;
using Zephyros.Core.Model.Running.Ranges;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Tables;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Reduced;

/// <summary>The model of a setup as far as it matters, over cells instead of values: what it remembers, and what the board reads, at
/// every position of its inputs. Worked out when it is first asked for. Not safe for use by several threads.</summary>
internal sealed class ReducedModel
{
    private const int RunsBetweenBreaths = 256;

    private readonly ProofScope scope;
    private readonly RangeRun run;
    private readonly bool examples;
    private readonly Dictionary<(int Memory, RowCause Cause), RowTable> rows = [];
    private readonly ByteMeter meter = new();
    private readonly List<RowCause> causes = [];
    private readonly int[] came;
    private readonly int[] held;
    private readonly Dictionary<ulong, int> readingNumbers = [];
    private readonly List<ulong> readings = [];
    private readonly int standing;
    private readonly DeclaredOverrides? overrides;
    private readonly bool keepsEdges;
    private readonly int throttle;
    private readonly double stickLow;
    private int runs;
    private readonly BoardAtom[] fixedAtoms;
    private readonly (int Channel, int Place, double Wander, ReadPatterns Read)[] channels;
    private readonly ReadPatterns? quality;

    /// <summary>Makes tables ready.</summary>
    /// <param name="scope">What matters.</param>
    /// <param name="examples">True to run only the example of each cell. What is then found can be played; what is not found is not proven.</param>
    public ReducedModel(ProofScope scope, bool examples = false)
    {
        this.scope = scope;
        this.examples = examples;
        run = new RangeRun(scope.Plan.Model, scope.Relevant, scope.Parts)
        {
            Examples = examples,
            SlowArrives = scope.Looks.AtRestOn is not null,
        };
        if (scope.Looks.AtRestOn is { } looked)
            overrides = new DeclaredOverrides(scope.Plan, looked);
        var stick = scope.Plan.Setup.Transmitter.StickOf(Hands.StickAxis.Throttle);
        throttle =
            (scope.Bits & ProofScope.StickLowBit) != 0 && stick is not null ? scope.Plan.Model.IndexOf(stick) : -1;
        stickLow = scope.StickLowLimit;
        keepsEdges = scope.Plan.Setup.Air.OnLoss != Air.ReceiverLoss.Silent;
        Grid = new InputGrid(scope.Inputs);
        standing = scope.Inputs.ToList().FindIndex(i => i.Kind == InputKind.Control && i.Id == scope.Standing);
        Open = new OpenComparisons(scope);
        Memory = new ReducedMemory(scope.Plan.Model, scope.Parts, examples ? 0 : Open.Count);
        came = new int[examples ? 0 : Open.Count];
        held = new int[Open.Count];
        var planned = scope.Plan.Model.Channels.Select((c, i) => (Number: c.Channel.Number.Value, Index: i)).ToArray();
        channels =
        [
            .. from channel in planned
            where channel.Number <= scope.Carried && channel.Number - 1 != scope.Plan.QualityPlace
            let atoms = scope.Atoms.Where(a => a.Channel == channel.Number - 1).ToArray()
            where atoms.Length > 0
            select (channel.Index, channel.Number - 1, scope.Wander(channel.Number - 1), new ReadPatterns(atoms)),
        ];
        // The receiver may put any quality into its channel.
        var qualityAtoms = scope.Atoms.Where(a => a.Channel == scope.Plan.QualityPlace).ToArray();
        quality = qualityAtoms.Length > 0 ? new ReadPatterns(qualityAtoms) : null;
        // A channel that nothing feeds, or that does not get through, stands at its centre for ever.
        fixedAtoms = [.. scope.Atoms.Except(qualityAtoms).Where(a => channels.All(c => c.Place != a.Channel))];
    }

    public ProofScope Scope => scope;

    public InputGrid Grid { get; }

    /// <summary>What several inputs decide together.</summary>
    public OpenComparisons Open { get; }

    /// <summary>Why rows were worked out, the first first.</summary>
    public IReadOnlyList<RowCause> Causes => causes;

    /// <summary>What the model can remember.</summary>
    public ReducedMemory Memory { get; }

    /// <summary>Is called now and then while tables are worked out; may throw to end that.</summary>
    public Action? Breath { get; set; }

    /// <summary>What the board can read, as far as it was worked out.</summary>
    public IReadOnlyList<ulong> Readings => readings;

    /// <summary>The bytes that the tables take, about.</summary>
    public long Bytes => meter.Bytes + Memory.Bytes + (64L * readings.Count);

    /// <summary>The number of what the board reads.</summary>
    public int NumberOf(ulong reading)
    {
        if (!readingNumbers.TryGetValue(reading, out var number))
        {
            number = readings.Count;
            readingNumbers.Add(reading, number);
            readings.Add(reading);
        }

        return number;
    }

    /// <summary>Where what comes of running the model is kept.</summary>
    /// <param name="memory">The number of the memory before; 0 is a transmitter that was just switched on.</param>
    /// <param name="cause">Why it is run. Positions where the parts whose time ends are not waiting have no outcome.</param>
    public RowTable Rows(int memory, RowCause cause)
    {
        ref var table = ref CollectionsMarshal.GetValueRefOrAddDefault(rows, (memory, cause), out _);
        if (table is null)
        {
            table = new RowTable(memory, cause, Grid.Words, meter);
            if (!causes.Contains(cause))
                causes.Add(cause);
        }

        return table;
    }

    /// <summary>What comes of running the model at the positions of a word.</summary>
    /// <param name="table">The memory before, and why it is run.</param>
    /// <param name="word">The word.</param>
    public OutcomeRow[] Row(RowTable table, int word) =>
        table.Known(word) ?? table.Learn(word, Work(table.Memory, word, table.Cause));

    /// <summary>The tables that were worked out.</summary>
    public IEnumerable<RowTable> Tables => rows.Values;

    private Dictionary<ModelOutcome, ulong> Work(int memory, int word, RowCause cause)
    {
        var found = new Dictionary<ModelOutcome, ulong>();
        run.Elapsing = cause.Ending;
        Hold(memory, Open.Stirred(cause.Stir));
        for (var bits = Grid.Used; bits != 0; bits &= bits - 1)
        {
            var bit = BitOperations.TrailingZeroCount(bits);
            var choices = new Choices();
            do
            {
                Put(run, word, bit, memory);
                run.Run(choices);
                if (++runs % RunsBetweenBreaths == 0)
                    Breath?.Invoke();
                if (run.Elapsed != cause.Ending)
                    continue;
                var reading = NumberOf(Read(choices) | Standing(word, bit));
                var outcome = new ModelOutcome(Memory.After(memory, run, came), reading);
                ref var positions = ref CollectionsMarshal.GetValueRefOrAddDefault(found, outcome, out _);
                positions |= 1UL << bit;
            } while (choices.Next());
        }

        return found;
    }

    // What does not depend on anything that moves comes out as it did.
    private void Hold(int memory, bool[] stirred)
    {
        for (var i = 0; i < came.Length; i++)
        {
            held[i] = stirred[i] ? 0 : Memory.Open(memory, i);
            if (i < Open.Ops.Count)
                run.Held[Open.Ops[i]] = held[i];
        }
    }

    /// <summary>Puts a run at a position with a memory.</summary>
    public void Put(RangeRun run, int word, int bit, int memory)
    {
        scope.PutAnywhere(run, examples);
        run.TelemetryLost = !scope.Plan.Setup.Air.Telemetry;
        for (var i = 0; i < scope.Inputs.Count; i++)
        {
            var cell = Grid.Cell(i, word, bit);
            if (scope.Registers[i] >= 0)
                run.Put(scope.Registers[i], scope.Range(i, cell, examples));
            else
                run.TelemetryLost = cell == 1;
        }

        Memory.Recall(memory, run);
    }

    // What the board reads after a run; comparisons that stay open go every way in which they can go together.
    private ulong Read(Choices choices)
    {
        var reading = StickLow() ? ProofScope.StickLowBit : 0;
        for (var i = 0; i < scope.Cues.Count; i++)
            if (run.At(scope.Plan.Model.Layout.ConditionRegister(scope.Cues[i])).Value != 0)
                reading |= ProofScope.CueBit(i);
        if (overrides is not null)
            reading |=
                (overrides.Hold(r => run.At(r).Value) ? ProofScope.OverriddenBit : 0)
                | (run.Waiting.Contains(true) ? ProofScope.UnderWayBit : 0);
        foreach (var atom in fixedAtoms)
            if (atom.Channel < scope.Plan.Wire.Channels && atom.Holds(scope.Receive(atom.Channel, default).Value))
                reading |= atom.Bit;
        if (quality is not null)
            reading |= OneOf(quality, AnyQuality, choices);
        for (var i = 0; i < came.Length; i++)
            came[i] = i < Open.Ops.Count ? run.Came[Open.Ops[i]] : 0;
        foreach (var (channel, place, wander, read) in channels)
        {
            var received = scope.Receive(place, run.Sent(channel, withOverrides: true));
            var exact = received.ExampleDecides
                ? read.At(received.Value)
                : OneOf(read, received, choices, PlaceOf(channel));
            var trembling = wander > 0 ? OneOf(read, received.Wandering(wander), choices) : exact;
            reading |= trembling;
            if (wander > 0 && trembling != exact)
                reading |= ProofScope.TremblesBit;
            if (keepsEdges && wander > 0 && IsNearEdge(read, received.Wandering(wander)))
                reading |= ProofScope.NearEdgeBit;
        }

        return reading;
    }

    private static bool IsNearEdge(ReadPatterns read, ValueRange received) =>
        read.Within(received.Low, received.High).Length > 1;

    // Where the control stands that is looked at.
    private ulong Standing(int word, int bit) =>
        standing >= 0
            ? ProofScope.PositionBit(scope.Inputs[standing].Cells[Grid.Cell(standing, word, bit)].Example)
            : 0;

    private ValueRange AnyQuality =>
        new(
            Microseconds.Neutral.Value,
            scope.Plan.QualityPulse(new Percent(0)).Value,
            scope.Plan.QualityPulse(new Percent(100)).Value,
            0
        );

    private int PlaceOf(int channel)
    {
        for (var i = 0; i < Open.Channels.Count && came.Length > 0; i++)
            if (Open.Channels[i] == channel)
                return Open.Ops.Count + i;
        return -1;
    }

    // What a range may be read as; what was read before stays when it is held.
    private ulong OneOf(ReadPatterns read, ValueRange received, Choices choices, int open = -1)
    {
        var ways = read.Within(received.Low, received.High);
        var way = 0;
        if (open >= 0 && held[open] > 0 && held[open] <= ways.Length)
            way = held[open] - 1;
        else
            while (way < ways.Length - 1 && choices.Take())
                way++;
        if (open >= 0 && ways.Length > 1)
            came[open] = way + 1;
        return ways[way];
    }

    private bool StickLow() => throttle >= 0 && run.At(throttle).High <= stickLow;
}
