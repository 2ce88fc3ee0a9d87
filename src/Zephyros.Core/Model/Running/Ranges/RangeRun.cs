namespace Zephyros.Core.Model.Running.Ranges;

/// <summary>Runs a compiled model on ranges of values instead of values: the same program as <see cref="ModelPlan.Evaluate"/>, with
/// conditions that come out one way or the other. A comparison that the ranges leave undecided goes both ways, one run each.</summary>
/// <remarks>A slow step may stand anywhere, so its value is uncertain. Not safe for use by several threads.</remarks>
internal sealed class RangeRun
{
    // Farther than any step can lead, in percent.
    private const double Anywhere = 1e6;

    // Two sources that no input has, so that no example decides about a slow step.
    private const ulong Uncertain = 3UL << MostSources;

    /// <summary>So many continuous inputs can be told apart.</summary>
    public const int MostSources = 62;

    private const int NoChannel = -1;

    private readonly ModelPlan plan;
    private readonly (PlanSection Section, int Channel)[] sections;
    private readonly int[] partOf;
    private readonly IReadOnlyList<MemoryPart> parts;
    private readonly ValueRange[] registers;
    private readonly ValueRange?[] slowAt;
    private readonly ValueRange?[] slowTargets;
    private ValueRange passing;

    /// <summary>Makes a run ready.</summary>
    /// <param name="plan">The compiled model.</param>
    /// <param name="relevant">The parts of the model that are run; everything that they depend on is among them.</param>
    /// <param name="parts">What these remember.</param>
    public RangeRun(ModelPlan plan, IReadOnlySet<ModelNode> relevant, IReadOnlyList<MemoryPart> parts)
    {
        this.plan = plan;
        string[] channels = [.. plan.Channels.Select(c => c.Id)];
        sections =
        [
            .. from section in plan.Sections
            where relevant.Contains(section.Node)
            select (
                section,
                section.Node.Kind == NodeKind.Chain ? Array.IndexOf(channels, section.Node.Id) : NoChannel
            ),
        ];
        partOf = new int[plan.Program.Length];
        Array.Fill(partOf, -1);
        for (var i = 0; i < parts.Count; i++)
            partOf[parts[i].Op] = i;
        registers = new ValueRange[plan.Layout.RegisterCount];
        Held = new int[plan.Program.Length];
        Came = new int[plan.Program.Length];
        slowAt = new ValueRange?[plan.Program.Length];
        slowTargets = new ValueRange?[plan.Program.Length];
        this.parts = parts;
        Memory = new int[parts.Count];
        Waiting = new bool[parts.Count];
        Ends = new ValueRange[plan.Channels.Count];
    }

    /// <summary>The state of every part that remembers; before a run as it was, after it as it is.</summary>
    public int[] Memory { get; }

    /// <summary>The parts whose time comes to its end in the next run, a bit each.</summary>
    public ulong Elapsing { get; set; }

    /// <summary>How undecided comparisons come out in the next run, by their place in the program: 1 plus 0 or 1; 0 to go both ways.</summary>
    public int[] Held { get; }

    /// <summary>How undecided comparisons came out in the last run: 1 plus 0 or 1; 0 when they were decided.</summary>
    public int[] Came { get; }

    /// <summary>After a run: the parts that wait for their time to pass.</summary>
    public bool[] Waiting { get; }

    /// <summary>True to run examples instead of ranges: nothing is undecided then.</summary>
    public bool Examples { get; init; }

    /// <summary>True when a slow step has always arrived.</summary>
    public bool SlowArrives { get; init; }

    /// <summary>True while no telemetry arrives.</summary>
    public bool TelemetryLost { get; set; }

    /// <summary>The last value of each chain that was run, in the order of the plan's channels.</summary>
    public ValueRange[] Ends { get; }

    /// <summary>The parts whose time did come to its end in the last run, a bit each.</summary>
    public ulong Elapsed { get; private set; }

    /// <summary>What a register holds after a run.</summary>
    public ValueRange At(int register) => registers[register];

    /// <summary>Puts a control or a sensor somewhere.</summary>
    public void Put(int register, ValueRange range) => registers[register] = range;

    /// <summary>Lets a slow step that has no memory here stand somewhere.</summary>
    /// <param name="op">Its place in the program.</param>
    /// <param name="range">Where.</param>
    public void PutSlow(int op, ValueRange range) => slowAt[op] = range;

    /// <summary>What a slow step followed in the last run; null when it was not run.</summary>
    /// <param name="op">Its place in the program.</param>
    public ValueRange? SlowTarget(int op) => slowTargets[op];

    /// <summary>Runs all parts.</summary>
    public void Run(Choices choices)
    {
        Elapsed = 0;
        foreach (var (section, channel) in sections)
            RunSection(section, channel, choices);
    }

    /// <summary>Runs the chains only, with conditions and flight state as they were put.</summary>
    public void RunChains()
    {
        Array.Clear(slowTargets);
        foreach (var (section, channel) in sections)
            if (channel != NoChannel)
                RunSection(section, channel, null);
    }

    /// <summary>What a channel sends: its range in percent, or the value that an override forces.</summary>
    public ValueRange Sent(int channel, bool withOverrides)
    {
        var output = plan.Outputs[channel];
        if (withOverrides)
            for (var i = 0; i < output.Forces.Count; i++)
                if (registers[output.Forces[i].Register].Value != 0)
                    return ValueRange.Exactly(output.Forces[i].Value);
        var end = Ends[channel];
        var (one, other) = (output.Sent(end.Low), output.Sent(end.High));
        var (low, high) = (Math.Min(one, other), Math.Max(one, other));
        return new ValueRange(output.Sent(end.Value), low, high, end.Sources);
    }

    // -1 false, 1 true, 0 undecided.
    private int Compare(in Op op)
    {
        var range = registers[op.A].Linear(op.P, op.Q);
        if (op.Code == OpCode.Below)
            return Side(range, range.High < 0, range.Low >= 0, range.Value < 0);
        return Side(range, range.Low > 0, range.High <= 0, range.Value > 0);
    }

    private static int Side(ValueRange range, bool surely, bool never, bool example)
    {
        if (range.ExampleDecides)
            return example ? 1 : -1;
        if (surely)
            return 1;
        return never ? -1 : 0;
    }

    private void RunSection(PlanSection section, int channel, Choices? choices)
    {
        for (var i = section.First; i < section.First + section.Count; i++)
        {
            ref readonly var op = ref plan.Program[i];
            if (op.Code >= OpCode.Below)
                registers[op.B] = ValueRange.Exactly(Decide(i, op, choices!));
            else if (op.When < 0 || registers[op.When].Value != 0)
                Step(i, op, choices);
            else if (op.Code == OpCode.Slow && partOf[i] >= 0 && !Arrives)
                _ = Follow(partOf[i], passing, choices!, atOnce: true);
        }

        if (channel != NoChannel)
            Ends[channel] = passing;
    }

    private bool Arrives => Examples || SlowArrives;

    private void Step(int index, in Op op, Choices? choices)
    {
        switch (op.Code)
        {
            case OpCode.Take or OpCode.Replace:
                passing = registers[op.A].Linear(op.P, op.Q);
                break;
            case OpCode.Linear:
                passing = passing.Linear(op.P, op.Q);
                break;
            case OpCode.Add:
                passing = passing.Plus(registers[op.A].Linear(op.P, op.Q));
                break;
            case OpCode.Multiply:
                passing = passing.Times(registers[op.A].Linear(op.P, op.Q));
                break;
            case OpCode.Limit:
                passing = passing.Held(op.P, op.Q);
                break;
            case OpCode.Curve:
                var curve = plan.Curves[op.A];
                var (low, high) = curve.Between(passing.Low, passing.High);
                passing = new ValueRange(curve.At(passing.Value), low, high, passing.Sources);
                break;
            case OpCode.Slow when Arrives:
                break;
            case OpCode.Slow:
                slowTargets[index] = passing;
                passing =
                    partOf[index] >= 0
                        ? Slow(partOf[index], op, choices!)
                        : slowAt[index] ?? new ValueRange(passing.Value, -Anywhere, Anywhere, Uncertain);
                break;
            case OpCode.State:
                var state = (int)registers[op.B].Value;
                if (state >= 0 && !double.IsNaN(plan.StateValues[op.A][state]))
                    passing = ValueRange.Exactly(plan.StateValues[op.A][state]);
                break;
            case OpCode.KeepChain:
                registers[op.A] = passing;
                break;
            default:
                throw new InvalidOperationException($"{op.Code} is no step of a chain.");
        }

        passing = passing.Held(-ChainLimit.Largest.Value, ChainLimit.Largest.Value);
    }

    // A slow step stands in one of its cells, and goes towards what it follows when its time comes; the first time it is there at once.
    private ValueRange Slow(int part, in Op op, Choices choices)
    {
        var cells = parts[part].Cells;
        if (Memory[part] == 0)
            return Follow(part, passing, choices, atOnce: true);
        var now = cells[Memory[part] - 1];
        var (up, down) = (passing.High > now.UpTo, passing.Low < now.From);
        // Without a limit it follows at once.
        if ((up && op.P == 0) || (down && op.Q == 0))
            return Follow(part, passing, choices, atOnce: true);
        if (!Elapses(part))
            return now.Range(parts[part].Source);
        Elapsed |= 1UL << part;
        return Follow(part, passing, choices, atOnce: false);
    }

    // To a cell of what it follows, or to any on the way.
    private ValueRange Follow(int part, ValueRange target, Choices choices, bool atOnce)
    {
        var cells = parts[part].Cells;
        var (first, last) = (cells.Count - 1, 0);
        for (var i = 0; i < cells.Count; i++)
            if (target.High >= cells[i].From && target.Low <= cells[i].UpTo)
                (first, last) = (Math.Min(first, i), Math.Max(last, i));
        // Between two cells: either.
        if (first > last)
            (first, last) = (last, first);
        if (target.ExampleDecides && atOnce)
            first = last = parts[part].CellOf(target.Value) - 1;
        if (!atOnce)
            (first, last) = (Math.Min(first, Memory[part] - 1), Math.Max(last, Memory[part] - 1));
        while (first < last && choices.Take())
            first++;
        Memory[part] = first + 1;
        return cells[first].Range(parts[part].Source);
    }

    private double Decide(int index, in Op op, Choices choices)
    {
        switch (op.Code)
        {
            case OpCode.Below or OpCode.Above:
                var side = Compare(op);
                if (side != 0)
                {
                    Came[index] = 0;
                    return Bit(side > 0);
                }

                var holds = Held[index] > 0 ? Held[index] > 1 : choices.Take();
                Came[index] = holds ? 2 : 1;
                return Bit(holds);
            case OpCode.Within:
                return Bit(registers[op.A].Value > op.P && registers[op.A].Value <= op.Q);
            case OpCode.Sensor:
                return Bit(!TelemetryLost && (registers[op.A].Value - op.Q) * op.P > 0);
            case OpCode.Lost:
                return Bit(TelemetryLost);
            case OpCode.All:
                return Bit(Count(op) == op.C);
            case OpCode.Any:
                return Bit(Count(op) > 0);
            case OpCode.None:
                return Bit(Count(op) == 0);
            case OpCode.Copy:
                return registers[op.A].Value;
            case OpCode.IsState:
                return Bit(registers[op.A].Value == op.P);
            case OpCode.Latch:
                return Latch(partOf[index], op);
            case OpCode.Delay:
                return Delay(partOf[index], op);
            case OpCode.Press:
                return Press(partOf[index], op);
            case OpCode.ChooseState:
                return FirstHolding(plan.StateLists[op.A]);
            default:
                throw new InvalidOperationException($"{op.Code} decides nothing.");
        }
    }

    private double Latch(int part, in Op op)
    {
        var set = registers[op.A].Value != 0 || Memory[part] != 0;
        Memory[part] = set && registers[op.C].Value == 0 ? 1 : 0;
        return Memory[part];
    }

    private double Delay(int part, in Op op)
    {
        var input = (int)registers[op.A].Value;
        Waiting[part] = input != Memory[part] && (input != 0 ? op.P : op.Q) > 0 && !Elapses(part);
        if (input == Memory[part])
            return input;
        if ((input != 0 ? op.P : op.Q) > 0 && Elapses(part))
            Elapsed |= 1UL << part;
        if (!Waiting[part])
            Memory[part] = input;
        return Memory[part];
    }

    private double Press(int part, in Op op)
    {
        var down = registers[op.A].Value > 0;
        if (double.IsPositiveInfinity(op.Q))
        {
            if (down && Memory[part] == 0 && op.P > 0 && Elapses(part))
                Elapsed |= 1UL << part;
            var enough = down && (Memory[part] != 0 || op.P <= 0 || Elapses(part));
            Waiting[part] = down && !enough;
            Memory[part] = enough ? 1 : 0;
            return Memory[part];
        }

        var ends = down
            ? Memory[part] is MemoryPart.PressedShort or MemoryPart.PressedEnough
            : Memory[part] is MemoryPart.Pulse;
        if (ends && Elapses(part))
            Elapsed |= 1UL << part;
        Memory[part] = NextPress(Memory[part], down, op.P <= 0, Elapses(part));
        Waiting[part] = Memory[part] is MemoryPart.PressedShort or MemoryPart.PressedEnough or MemoryPart.Pulse;
        return Bit(Memory[part] == MemoryPart.Pulse);
    }

    private bool Elapses(int part) => (Elapsing >> part & 1) != 0;

    private static int NextPress(int state, bool down, bool atOnce, bool elapsing)
    {
        if (!down)
            return state switch
            {
                MemoryPart.PressedEnough => MemoryPart.Pulse,
                MemoryPart.Pulse when !elapsing => MemoryPart.Pulse,
                _ => 0,
            };
        return state switch
        {
            MemoryPart.PressedShort => elapsing ? MemoryPart.PressedEnough : state,
            MemoryPart.PressedEnough => elapsing ? MemoryPart.PressedTooLong : state,
            MemoryPart.PressedTooLong => state,
            _ => atOnce ? MemoryPart.PressedEnough : MemoryPart.PressedShort,
        };
    }

    private int Count(in Op op)
    {
        var count = 0;
        for (var i = op.A; i < op.A + op.C; i++)
            if (registers[i].Value != 0)
                count++;
        return count;
    }

    private int FirstHolding(int[] list)
    {
        for (var i = 0; i < list.Length; i++)
            if (list[i] < 0 || registers[list[i]].Value != 0)
                return i;
        return -1;
    }

    private static double Bit(bool holds) => holds ? 1 : 0;
}
