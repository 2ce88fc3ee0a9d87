using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Model.Running.Ranges;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof;

/// <summary>The part of a setup that can make a difference to some bits of what the board reads: the cone of influence.</summary>
internal sealed class ProofScope
{
    /// <summary>The bit for a throttle stick that is low itself, whatever becomes of it on the way. The board does not know it.</summary>
    public const ulong StickLowBit = 16;

    /// <summary>The bit for an override that the pilot declared and that holds on the channel which is looked at.</summary>
    public const ulong OverriddenBit = 32;

    /// <summary>The bit for a reading that lies beside what is sent, within what was measured.</summary>
    public const ulong TremblesBit = 64;

    /// <summary>The bit for a delay or a press that is still under way.</summary>
    public const ulong UnderWayBit = 128;

    /// <summary>The bit for a channel that, as far as it was measured to tremble, may be read as something else. A receiver that holds it
    /// keeps it.</summary>
    public const ulong NearEdgeBit = 1UL << (FirstCue - 1);

    /// <summary>So many conditions can be looked at besides.</summary>
    public const int MostCues = 8;

    /// <summary>The cell of telemetry as such while none arrives; in the other, 0, it does.</summary>
    public const int TelemetryLost = 1;

    /// <summary>What happens leaves telemetry as it is: it is not missed yet, or does not come yet.</summary>
    public const int TelemetryStays = 2;

    // Where their bits begin; the board does not know them either.
    private const int FirstCue = 56;

    /// <summary>Everything in a reading that no receiver holds: the stick itself, where a control stands, and what conditions hold.</summary>
    public const ulong OwnBits = StickLowBit | OverriddenBit | TremblesBit | UnderWayBit | (ulong.MaxValue << FirstCue);

    // Farther than any slow step is led, in percent.
    private const double SlowReach = 1e6;

    // Which of so many end together is gone through.
    private const int MostTimed = 12;

    /// <summary>The places of a stick or dial, less one.</summary>
    [Figure(
        Station.Hands,
        "A stick or dial has this many places from end to end",
        ProvenanceKind.FromMemory,
        Note = "11 bits and the centre"
    )]
    public const int GridSteps = 2048;

    private readonly int pieces;
    private readonly Action? breath;
    private readonly Dictionary<int, ulong> sources = [];
    private readonly List<ProofInput> inputs = [];
    private readonly HashSet<string> course = [];
    private readonly List<int> registers = [];
    private readonly List<(int Register, ValueRange Range)> anywhere = [];
    private readonly List<(int Op, ValueRange Range)> slowAnywhere = [];

    /// <summary>Finds what matters.</summary>
    /// <param name="plan">The setup, compiled.</param>
    /// <param name="looks">What is looked at.</param>
    /// <param name="pieces">Into how many pieces a cell is cut that leaves something open, 1 or more.</param>
    /// <param name="breath">Is called now and then; may throw to end it.</param>
    public ProofScope(SignalPlan plan, ProofLooks looks, int pieces = 1, Action? breath = null)
    {
        this.pieces = pieces;
        this.breath = breath;
        Plan = plan;
        Looks = looks;
        Atoms = [.. plan.Board.Atoms.Where(a => (a.Bit & Bits) != 0)];
        Carried = SignalPlan.CarriedChannels(plan.Setup);
        Relevant = Cone();
        Parts = MemoryPart.Of(plan.Model, Relevant);
        IsSlow = Asks(code => code == OpCode.Slow);
        foreach (var (index, register) in Continuous().Index())
            sources[register] = 1UL << Math.Min(index, RangeRun.MostSources - 1);
        foreach (var register in sources.Keys)
            anywhere.Add((register, Whole(register)));
        if (looks.AtRestOn is null)
            AddSlow();
        if (looks.CourseOf is { } channel)
            course = [.. plan.Model.Graph.CarriedTo(new ModelNode(NodeKind.Chain, channel)).Select(n => n.Id)];
        AddInputs();
        if (Parts.Count(p => p.Code is OpCode.Delay or OpCode.Press) > MostTimed)
            Obstacle = $"More than {MostTimed} delays and presses at once.";
    }

    public SignalPlan Plan { get; }

    /// <summary>What is looked at.</summary>
    public ProofLooks Looks { get; }

    /// <summary>The bits of the board's view that matter.</summary>
    public ulong Bits => Looks.Bits;

    /// <summary>The conditions that are looked at besides.</summary>
    public IReadOnlyList<string> Cues => Looks.Cues;

    /// <summary>The control whose positions are looked at besides, or null; then there are no <see cref="Cues"/>.</summary>
    public string? Standing => Looks.Standing;

    /// <summary>True when a channel among it arrives beside what is sent.</summary>
    public bool Trembles => Atoms.Any(a => a.Channel < Carried && Wander(a.Channel) > 0);

    /// <summary>The comparisons behind these bits.</summary>
    public IReadOnlyList<BoardAtom> Atoms { get; }

    /// <summary>How many channels get through.</summary>
    public int Carried { get; }

    /// <summary>Everything in the model that can make a difference.</summary>
    public IReadOnlySet<ModelNode> Relevant { get; }

    /// <summary>True when a step among it moves by itself after what it follows has moved.</summary>
    public bool IsSlow { get; }

    /// <summary>What of it remembers.</summary>
    public IReadOnlyList<MemoryPart> Parts { get; private set; }

    /// <summary>What can be moved and makes a difference.</summary>
    public IReadOnlyList<ProofInput> Inputs => inputs;

    /// <summary>The register of each input; -1 for telemetry as such.</summary>
    public IReadOnlyList<int> Registers => registers;

    /// <summary>The place of telemetry as such among the inputs; -1 when it makes no difference.</summary>
    public int TelemetryInput { get; private set; } = -1;

    /// <summary>Why nothing can be proven here; empty when something can.</summary>
    public string Obstacle { get; private set; } = "";

    /// <summary>The value that a stick, dial or sensor shows at a place in its cells, as a range with its source.</summary>
    public ValueRange Range(int input, int cell, bool example)
    {
        var made = Inputs[input].Cells[cell];
        var register = registers[input];
        if (!sources.TryGetValue(register, out var source))
            return ValueRange.Exactly(Plan.Model.Controls[register].Value.Read(made.Example)!.Value.Value);
        if (example)
            return ValueRange.Exactly(made.Example);
        var stretch = made.ExampleStretch;
        return new ValueRange(made.Example, stretch.From, stretch.UpTo, source);
    }

    /// <summary>Puts every stick, dial and sensor anywhere at once, or at an example.</summary>
    public void PutAnywhere(RangeRun run, bool example)
    {
        foreach (var (op, range) in slowAnywhere)
            run.PutSlow(op, range);
        foreach (var (register, range) in anywhere)
            run.Put(register, example ? ValueRange.Exactly(range.Value) : range);
    }

    /// <summary>Where a stick or dial stands at a place of its grid, in percent.</summary>
    /// <param name="place">0 to <see cref="GridSteps"/>.</param>
    public static double PlaceAt(int place) => -100 + (200.0 * place / GridSteps);

    /// <summary>Which of the looked-at conditions a reading says to hold, a bit each.</summary>
    public static int CuesIn(ulong reading) => (int)(reading >> FirstCue);

    /// <summary>The bit of a looked-at condition in a reading.</summary>
    public static ulong CueBit(int index) => 1UL << (FirstCue + index);

    /// <summary>The bit of a position of the control that is looked at, in a reading; its places are those of the conditions.</summary>
    /// <param name="setting">0 to 6; see <see cref="Control.Read"/>.</param>
    public static ulong PositionBit(double setting) => CueBit((int)setting);

    /// <summary>How far what the board receives on a channel may lie from what the model works out, in microseconds.</summary>
    /// <param name="channel">The place of the channel, 0 for channel 1.</param>
    public double Wander(int channel) => Plan.Setup.Board.WanderOn(new ChannelNumber(channel + 1)).Value;

    /// <summary>What the board receives of a range that is sent, in microseconds, without its wander.</summary>
    /// <param name="channel">The place of the channel, 0 for channel 1.</param>
    /// <param name="sent">What is sent, in percent.</param>
    public ValueRange Receive(int channel, ValueRange sent)
    {
        var rounding = Plan.Setup.Wire.Rounding;
        var wire = Plan.Wire;
        double Through(double percent) =>
            wire.ToMicroseconds(
                wire.ToCount(
                    Plan.OverLink(
                        channel,
                        new Microseconds(Microseconds.Neutral.Value + (Plan.Model.MicrosecondsPerPercent * percent))
                    ),
                    rounding
                )
            ).Value;
        return new ValueRange(Through(sent.Value), Through(sent.Low), Through(sent.High), sent.Sources);
    }

    /// <summary>The highest value of the throttle stick, in percent, that a hand takes for low: up to where, coming through straight, it
    /// would make thrust that is felt; and at least where the
    /// transmitter takes it for low.</summary>
    public double StickLowLimit =>
        Math.Max(
            Plan.Setup.Transmitter.ThrottleLow.Value,
            (
                Plan.Setup.Board.OnWire(StickAxis.Throttle, Plan.Setup.Board.ThrottleLow).Value
                + BoardPlan.NoticeableThrust.Value
                - Microseconds.Neutral.Value
            ) / Plan.Model.MicrosecondsPerPercent
        );

    private HashSet<ModelNode> Cone()
    {
        var numbers = Atoms.Select(a => a.Channel + 1).Where(n => n <= Carried).ToHashSet();
        var cone = Plan
            .Model.Channels.Where(c => numbers.Contains(c.Channel.Number.Value))
            .SelectMany(c => c.Behind)
            .ToHashSet();
        if ((Bits & StickLowBit) != 0 && Plan.Setup.Transmitter.StickOf(StickAxis.Throttle) is { } stick)
            cone.Add(new ModelNode(NodeKind.Control, stick));
        if (Standing is { } control)
            cone.Add(new ModelNode(NodeKind.Control, control));
        foreach (var cue in Cues)
            cone.UnionWith(Plan.Model.Graph.Behind(new ModelNode(NodeKind.Condition, cue)));
        if (Cues.Count > MostCues)
            Obstacle = $"More than {MostCues} conditions announce one thing.";
        if (Bits >= NearEdgeBit && (Cues.Count > 0 || Standing is not null || Trembles))
            Obstacle = $"The board has more than {FirstCue - 1 - BoardView.FirstFunction} functions.";
        if (PresetsSplitTheSticks())
            Obstacle = "The receiver has presets for some of roll, pitch and yaw, and not for all.";
        if (Plan.Model.Graph.Cycles.Any(c => c.Any(cone.Contains)))
            Obstacle = "Conditions or channels ask for each other in a circle.";
        return cone;
    }

    // Whether any stick is deflected is one bit; a receiver that presets one axis and holds another would make two of it.
    private bool PresetsSplitTheSticks()
    {
        if ((Bits & BoardView.DeflectedBit) == 0 || Plan.Setup.Air.OnLoss != ReceiverLoss.Preset)
            return false;
        var preset = new[] { StickAxis.Roll, StickAxis.Pitch, StickAxis.Yaw }.Count(axis =>
            Plan.Setup.Air.Presets.ContainsKey(Plan.Setup.Board.Map.ChannelOf(axis))
        );
        return preset is 1 or 2;
    }

    private IEnumerable<int> Continuous()
    {
        for (var i = 0; i < Plan.Model.Controls.Count; i++)
            if (
                Plan.Model.Controls[i].Value.NamedPositions.Count == 0
                && Relevant.Contains(new ModelNode(NodeKind.Control, Plan.Model.Controls[i].Key))
            )
                yield return i;
        foreach (var (id, _) in Plan.Model.Sensors)
            if (Relevant.Contains(new ModelNode(NodeKind.Sensor, id)))
                yield return Plan.Model.Layout.SensorRegister(id);
    }

    private ValueRange Whole(int register)
    {
        var grid = Grid(register);
        var example =
            register < Plan.Model.Controls.Count
                ? Plan.Model.Controls[register].Value.StartValue.Value
                : Plan.Model.Sensors[register - Plan.Model.Layout.FirstSensor].Value.Bench.Value;
        return new ValueRange(example, grid[0], grid[^1], sources[register]);
    }

    private double[] Grid(int register)
    {
        if (register < Plan.Model.Controls.Count)
            return [.. Enumerable.Range(0, GridSteps + 1).Select(PlaceAt)];
        var sensor = Plan.Model.Sensors[register - Plan.Model.Layout.FirstSensor].Value;
        // The first reports after the start may be nothing yet: 0, whatever the sensor measures.
        var (low, high) = (Math.Min(0, sensor.Lowest.Value), Math.Max(0, sensor.Highest.Value));
        var values = Enumerable.Range(0, GridSteps + 1).Select(i => low + ((high - low) * i / GridSteps)).ToList();
        values.AddRange([0, sensor.Bench.Value]);
        // Both sides of every limit that it can reach are among its values.
        foreach (var op in Plan.Model.Program)
            if (op.Code == OpCode.Sensor && op.A == register)
                values.AddRange([Math.BitDecrement(op.Q), op.Q, Math.BitIncrement(op.Q)]);
        low = Math.Min(low, sensor.Bench.Value);
        high = Math.Max(high, sensor.Bench.Value);
        return [.. values.Where(v => v >= low && v <= high).Distinct().Order()];
    }

    // What a slow step gives is cut like the travel of an input; those further down the way first, since the others are compared with their
    // cells too.
    private void AddSlow()
    {
        var ops = Plan
            .Model.Sections.Where(s => Relevant.Contains(s.Node))
            .SelectMany(s => Enumerable.Range(s.First, s.Count).Select(i => (s.Node, Op: i)))
            .Where(o => Plan.Model.Program[o.Op].Code == OpCode.Slow)
            .Reverse()
            .ToArray();
        foreach (var (i, (_, op)) in ops.Index())
        {
            var source = 1UL << Math.Min(sources.Count + i, RangeRun.MostSources - 1);
            slowAnywhere.Add((op, new ValueRange(0, -SlowReach, SlowReach, source)));
        }

        var parts = new List<MemoryPart>();
        double[] grid = [.. Enumerable.Range(0, (2 * GridSteps) + 1).Select(i => -200 + (200.0 * i / GridSteps))];
        foreach (var (node, op) in ops)
        {
            var source = slowAnywhere.Single(s => s.Op == op).Range.Sources;
            var builder = new CellBuilder(this, -1, source, node, grid, parts, op, breath);
            var stretches = builder.CutExactly();
            if (builder.TooMany)
                Obstacle = "Too many conditions decide about one channel.";
            SlowCell[] cells =
            [
                .. stretches
                    .Select(s => (From: Math.Max(-SlowReach, s.From), UpTo: Math.Min(SlowReach, s.UpTo)))
                    .Select(s => new SlowCell(
                        s.From,
                        s.UpTo,
                        Math.Clamp(s.From + ((s.UpTo - s.From) / 2), s.From, s.UpTo)
                    )),
            ];
            parts.Add(new MemoryPart(op, node, OpCode.Slow, cells.Length + 1) { Cells = cells, Source = source });
        }

        if (sources.Count + ops.Length >= RangeRun.MostSources)
            Obstacle = "Too many sticks, dials, sensors and slow steps at once.";
        Parts = [.. Parts, .. parts];
    }

    private void AddInputs()
    {
        var model = Plan.Model;
        for (var i = 0; i < model.Controls.Count; i++)
        {
            var (id, control) = model.Controls[i];
            var node = new ModelNode(NodeKind.Control, id);
            if (!Relevant.Contains(node))
                continue;
            if (control.NamedPositions.Count > 0)
                Add(
                    new(
                        InputKind.Control,
                        id,
                        control.Name,
                        [
                            .. control
                                .NamedPositions.OrderBy(p => p.Setting != control.StartSetting)
                                .ThenBy(p => p.Setting)
                                .Select(p => InputCell.Of(p.Setting)),
                        ]
                    ),
                    i
                );
            else
                Add(new(InputKind.Control, id, control.Name, Cells(i, node, control.StartSetting)), i);
        }

        foreach (var (id, sensor) in model.Sensors)
        {
            var node = new ModelNode(NodeKind.Sensor, id);
            var register = model.Layout.SensorRegister(id);
            if (Relevant.Contains(node))
                Add(new(InputKind.Sensor, id, sensor.Label, Cells(register, node, sensor.Bench.Value)), register);
        }

        if (Plan.Setup.Air.Telemetry && Asks(code => code is OpCode.Sensor or OpCode.Lost))
        {
            TelemetryInput = inputs.Count;
            Add(new(InputKind.Telemetry, "", "Telemetry", [InputCell.Of(0), InputCell.Of(TelemetryLost)]), -1);
        }

        if (sources.Count >= RangeRun.MostSources)
            Obstacle = "Too many sticks, dials and sensors at once.";
    }

    // What cannot be told apart is no input; it stays anywhere. Unless a channel is looked at into which it is carried.
    private void Add(ProofInput input, int register)
    {
        if (input.Cells is [{ Open: false }] && !course.Contains(input.Id))
            return;
        inputs.Add(input);
        registers.Add(register);
    }

    private bool Asks(Func<OpCode, bool> wanted)
    {
        foreach (var section in Plan.Model.Sections.Where(s => Relevant.Contains(s.Node)))
        foreach (var op in Plan.Model.Program.Slice(section.First, section.Count))
            if (wanted(op.Code))
                return true;
        return false;
    }

    // Where the input starts comes first, so that sequences begin there if they can.
    private InputCell[] Cells(int register, ModelNode node, double start)
    {
        var grid = Grid(register);
        var builder = new CellBuilder(
            this,
            register,
            sources[register],
            node,
            grid,
            [.. Parts.Where(p => p.Code == OpCode.Slow)],
            breath: breath
        );
        var isThrottle = (Bits & StickLowBit) != 0 && Plan.Setup.Transmitter.StickOf(StickAxis.Throttle) == node.Id;
        var cells = builder.Cut(isThrottle ? Array.FindIndex(grid, v => v > StickLowLimit) : 0);
        if (builder.TooMany)
            Obstacle = "Too many conditions decide about one channel.";
        return
        [
            .. cells
                .SelectMany(c => c.Open ? c.Stretches.SelectMany(Pieces).Select(p => (Stretches: p, c.Open)) : [c])
                .Select(c => new InputCell(
                    [.. c.Stretches.Select(p => new InputStretch(grid[p.From], grid[p.UpTo]))],
                    Example(grid, c.Stretches, start)
                )
                {
                    Open = c.Open,
                })
                .OrderBy(c => c.Example != start),
        ];
    }

    private IEnumerable<List<(int From, int UpTo)>> Pieces((int From, int UpTo) stretch)
    {
        var length = stretch.UpTo - stretch.From + 1;
        var count = Math.Min(pieces, length);
        for (var i = 0; i < count; i++)
            yield return [(stretch.From + (i * length / count), stretch.From + ((i + 1) * length / count) - 1)];
    }

    // Where the input starts, otherwise its centre or an end, otherwise the middle of the first stretch.
    private static double Example(double[] grid, List<(int From, int UpTo)> stretches, double start)
    {
        foreach (var plain in new[] { start, 0, 100, -100 })
        foreach (var (from, upTo) in stretches)
            if (Array.BinarySearch(grid, from, upTo - from + 1, plain) >= 0)
                return plain;
        return grid[(stretches[0].From + stretches[0].UpTo) / 2];
    }
}
