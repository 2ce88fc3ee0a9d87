using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Running;

/// <summary>A model compiled once into a flat list of operations. Evaluation allocates nothing, and the value after every
/// step stays in its slot, because showing it is what makes a setup understandable.</summary>
public sealed class ModelPlan
{
    private readonly Op[] program;
    private readonly CurveTable[] curves;
    private readonly PositionTable[] positions;
    private readonly OutputTable[] outputs;
    private readonly double[][] stateValues;
    private readonly int[][] stateLists;
    private readonly PlanLayout layout;
    private readonly double microsecondsPerPercent;

    private ModelPlan(Transmitter transmitter, TransmitterModel model)
    {
        var compiler = new PlanCompiler(transmitter, model);
        compiler.Compile();
        layout = compiler.Layout;
        Controls = compiler.Layout.Controls;
        Sensors = compiler.Layout.Sensors;
        Conditions = compiler.Layout.Conditions;
        States = compiler.Layout.States;
        Channels = compiler.Channels;
        Graph = compiler.Graph;
        ChannelCount = transmitter.Channels;
        SlotCount = Channels.Sum(c => c.SlotCount);
        microsecondsPerPercent = transmitter.Scale.MicrosecondsPerPercent();
        (program, curves, positions, outputs) = (
            [.. compiler.Program],
            [.. compiler.Curves],
            [.. compiler.Positions],
            [.. compiler.Outputs]
        );
        (stateValues, stateLists) = ([.. compiler.StateValues], [.. compiler.StateLists]);
    }

    /// <summary>The controls in the order in which their values are passed to <see cref="Evaluate"/>.</summary>
    public IReadOnlyList<KeyValuePair<string, Control>> Controls { get; }

    /// <summary>The sensors in the order in which their readings are passed to <see cref="Evaluate"/>.</summary>
    public IReadOnlyList<KeyValuePair<string, Sensor>> Sensors { get; }

    /// <summary>The ids of the conditions, in the order of <see cref="Holds"/>.</summary>
    public IReadOnlyList<string> Conditions { get; }

    /// <summary>The flight states by priority.</summary>
    public IReadOnlyList<KeyValuePair<string, FlightState>> States { get; }

    /// <summary>The channels that the model feeds, by number.</summary>
    public IReadOnlyList<PlannedChannel> Channels { get; }

    /// <summary>What depends on what.</summary>
    public ModelGraph Graph { get; }

    /// <summary>How many channels the transmitter sends; the length of the pulses that <see cref="Evaluate"/> writes.</summary>
    public int ChannelCount { get; }

    /// <summary>How many values <see cref="Evaluate"/> leaves behind: one for every step of every channel.</summary>
    public int SlotCount { get; }

    /// <summary>Compiles a model. The setup must be valid: references lead somewhere, numbers are unique and within the count. Parts of
    /// a cycle take what the rest of the cycle gave at the evaluation before.</summary>
    public static ModelPlan Compile(Transmitter transmitter, TransmitterModel model) => new(transmitter, model);

    /// <summary>The place of a control in the values passed to <see cref="Evaluate"/>, or -1 when there is none of that id.</summary>
    public int IndexOf(string controlId) => layout.ControlIndex(controlId);

    /// <summary>The values of all controls at switch-on.</summary>
    public Percent[] StartValues() => [.. Controls.Select(c => c.Value.StartValue)];

    /// <summary>The readings of all sensors on the bench.</summary>
    public Reading[] BenchReadings() => [.. Sensors.Select(s => s.Value.Bench)];

    /// <summary>The memory of a transmitter that was just switched on: latches off, nothing under way.</summary>
    public ModelMemory PowerOn() => new(layout.RegisterCount, layout.CellCount, Channels.Count);

    /// <summary>True when a condition held at the last evaluation.</summary>
    /// <param name="memory">The memory of the runner.</param>
    /// <param name="conditionId">The id of a condition of the model.</param>
    public bool Holds(ModelMemory memory, string conditionId) =>
        memory.Registers[layout.ConditionRegister(conditionId)] != 0;

    /// <summary>The id of the active flight state at the last evaluation, or null when none is.</summary>
    public string? ActiveState(ModelMemory memory)
    {
        if (States.Count == 0)
            return null;
        var number = (int)memory.Registers[layout.StateRegister];
        return number < 0 ? null : States[number].Key;
    }

    /// <summary>The id of the override that held on a channel at the last evaluation, or null.</summary>
    /// <param name="model">The model that was compiled.</param>
    /// <param name="memory">The memory of the runner.</param>
    /// <param name="channel">The place of the channel in <see cref="Channels"/>.</param>
    public string? HoldingOverride(TransmitterModel model, ModelMemory memory, int channel)
    {
        var index = memory.Forced[channel];
        return index < 0
            ? null
            : model.OverridesOf(Channels[channel].Id).Where(o => o.Value.Enabled).ElementAt(index).Key;
    }

    /// <summary>Evaluates the model.</summary>
    /// <param name="inputs">What comes in.</param>
    /// <param name="elapsed">The time since the last evaluation with this memory; <see cref="TimeSpan.MaxValue"/> lets everything that
    /// is under way come to its end.</param>
    /// <param name="memory">What is remembered from one evaluation to the next.</param>
    /// <param name="slots">Takes the value after every step; <see cref="SlotCount"/> long.</param>
    /// <param name="sent">Takes the pulse of every channel, channel 1 first; <see cref="ChannelCount"/> long. A channel that
    /// nothing feeds is sent at its centre.</param>
    public void Evaluate(
        in ModelInputs inputs,
        TimeSpan elapsed,
        ModelMemory memory,
        Span<Percent> slots,
        Span<Microseconds> sent
    )
    {
        var registers = memory.Registers;
        var passed = elapsed == TimeSpan.MaxValue ? ModelPlanClock.Settling : elapsed.TotalMilliseconds;
        memory.Restless = false;
        for (var i = 0; i < inputs.Hands.Length; i++)
            registers[i] = inputs.Hands[i].Value;
        for (var i = 0; i < inputs.Readings.Length; i++)
            registers[layout.FirstSensor + i] = inputs.Readings[i].Value;
        sent.Fill(Microseconds.Neutral);
        var value = 0.0;
        var slot = 0;
        foreach (ref readonly var op in program.AsSpan())
        {
            if (op.When < 0 || registers[op.When] != 0)
                value = Pass(op, value, passed, inputs.TelemetryLost, memory);
            else if (op.Code == OpCode.Slow)
                memory.Cells[op.A] = value;
            if (op.Code == OpCode.Take)
                slot = op.C;
            if (op.Shown)
                slots[slot++] = new Percent(value);
            if (op.Code == OpCode.Send)
                sent[outputs[op.A].SentIndex] = Send(op, memory, slots);
        }
    }

    private Microseconds Send(in Op op, ModelMemory memory, Span<Percent> slots)
    {
        var output = outputs[op.A];
        var leaving = output.Leave(memory.Registers[op.B]);
        slots[op.C] = new Percent(leaving);
        var holding = output.Holding(memory.Registers);
        memory.Forced[output.Planned] = holding;
        if (holding >= 0)
            leaving = output.Forced(holding);
        slots[op.C + 1] = new Percent(leaving);
        return new Microseconds(Microseconds.Neutral.Value + (microsecondsPerPercent * leaving));
    }

    // Gives the passing value on, changed or not.
    private double Pass(in Op op, double value, double passed, bool lost, ModelMemory memory)
    {
        var registers = memory.Registers;
        switch (op.Code)
        {
            case OpCode.Take or OpCode.Replace:
                return (registers[op.A] * op.P) + op.Q;
            case OpCode.Linear:
                return (value * op.P) + op.Q;
            case OpCode.Add:
                return value + (registers[op.A] * op.P) + op.Q;
            case OpCode.Multiply:
                return value * ((registers[op.A] * op.P) + op.Q);
            case OpCode.Curve:
                return curves[op.A].At(value);
            case OpCode.Slow:
                return TimedOps.Slow(op, value, passed, memory);
            case OpCode.Limit:
                return Math.Min(Math.Max(value, op.P), op.Q);
            case OpCode.State:
                return StateValue(op, value, registers);
            case OpCode.KeepChain:
                registers[op.A] = value;
                return value;
            case OpCode.Send:
                return value;
            default:
                registers[op.B] = Decide(op, passed, lost, memory);
                return value;
        }
    }

    private double StateValue(in Op op, double value, double[] registers)
    {
        var state = (int)registers[op.B];
        var own = state < 0 ? double.NaN : stateValues[op.A][state];
        return double.IsNaN(own) ? value : own;
    }

    private double Decide(in Op op, double passed, bool lost, ModelMemory memory)
    {
        var registers = memory.Registers;
        switch (op.Code)
        {
            case OpCode.Below:
                return Bit((registers[op.A] * op.P) + op.Q < 0);
            case OpCode.Above:
                return Bit((registers[op.A] * op.P) + op.Q > 0);
            case OpCode.Position:
                return Bit(positions[op.C].Holds(registers[op.A]));
            case OpCode.Sensor:
                return Bit(!lost && (registers[op.A] - op.Q) * op.P > 0);
            case OpCode.Lost:
                return Bit(lost);
            case OpCode.All:
                return Bit(!registers.AsSpan(op.A, op.C).Contains(0));
            case OpCode.Any:
                return Bit(registers.AsSpan(op.A, op.C).Contains(1));
            case OpCode.None:
                return Bit(!registers.AsSpan(op.A, op.C).Contains(1));
            case OpCode.Copy:
                return registers[op.A];
            case OpCode.IsState:
                return Bit(registers[op.A] == op.P);
            case OpCode.Latch:
                return Bit(registers[op.C] == 0 && (registers[op.A] != 0 || registers[op.B] != 0));
            case OpCode.Delay:
                return TimedOps.Delay(op, passed, memory);
            case OpCode.Press:
                return TimedOps.Press(op, passed, memory);
            default:
                return FirstHolding(stateLists[op.A], registers);
        }
    }

    private static double FirstHolding(int[] list, double[] registers)
    {
        for (var i = 0; i < list.Length; i++)
            if (list[i] < 0 || registers[list[i]] != 0)
                return i;
        return -1;
    }

    private static double Bit(bool holds) => holds ? 1 : 0;
}
