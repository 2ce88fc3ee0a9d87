using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Running;

/// <summary>A model compiled once into a flat list of operations. Evaluation allocates nothing, and the value after every
/// step stays in its slot, because showing it is what makes a setup understandable.</summary>
public sealed class ModelPlan
{
    private readonly Op[] program;
    private readonly CurveTable[] curves;
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
        (program, curves, outputs) = ([.. compiler.Program], [.. compiler.Curves], [.. compiler.Outputs]);
        (stateValues, stateLists) = ([.. compiler.StateValues], [.. compiler.StateLists]);
        Sections = [.. compiler.Sections];
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

    /// <summary>Where each part of the model stands in the program.</summary>
    internal IReadOnlyList<PlanSection> Sections { get; }

    internal ReadOnlySpan<Op> Program => program;

    internal IReadOnlyList<CurveTable> Curves => curves;

    internal IReadOnlyList<OutputTable> Outputs => outputs;

    internal IReadOnlyList<double[]> StateValues => stateValues;

    internal IReadOnlyList<int[]> StateLists => stateLists;

    internal PlanLayout Layout => layout;

    internal double MicrosecondsPerPercent => microsecondsPerPercent;

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

    /// <summary>The memory of a transmitter whose model is edited while it runs. An edit of names and figures alone forgets nothing;
    /// after one that puts in, takes out or rearranges parts it is that of <see cref="PowerOn"/>.</summary>
    /// <param name="before">The plan before the edit.</param>
    /// <param name="memory">What was remembered with it.</param>
    public ModelMemory GoOn(ModelPlan before, ModelMemory memory)
    {
        var next = PowerOn();
        // The same parts under the same ids: two latches that change places are not the same.
        if (
            next.IsLike(memory)
            && Conditions.SequenceEqual(before.Conditions, StringComparer.Ordinal)
            && Channels.Select(c => c.Id).SequenceEqual(before.Channels.Select(c => c.Id), StringComparer.Ordinal)
            && program.Select(Part).SequenceEqual(before.program.Select(Part))
        )
            next.TakeOver(memory);
        return next;
    }

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
        (memory.Restless, memory.Ends) = (false, double.PositiveInfinity);
        // A quantity is a number with a name: the lists lie in memory like lists of numbers.
        MemoryMarshal.Cast<Percent, double>(inputs.Hands).CopyTo(registers);
        MemoryMarshal.Cast<Reading, double>(inputs.Readings).CopyTo(registers.AsSpan(layout.FirstSensor));
        Run(passed, inputs.TelemetryLost, memory, slots);
        sent.Fill(Microseconds.Neutral);
        Send(memory, slots, sent);
    }

    // An operation without its figures.
    private static Op Part(Op op) => op with { P = 0, Q = 0 };

    // The inner loop of everything that Zephyros computes: the common operations stand in it, the rare ones are called.
    private void Run(double passed, bool lost, ModelMemory memory, Span<Percent> slots)
    {
        var registers = memory.Registers;
        var largest = ChainLimit.Largest.Value;
        var value = 0.0;
        var slot = 0;
        foreach (ref readonly var op in program.AsSpan())
        {
            if (op.Code >= OpCode.Below)
            {
                registers[op.B] = Decide(op, passed, lost, memory);
                continue;
            }

            if (op.When < 0 || registers[op.When] != 0)
                switch (op.Code)
                {
                    case OpCode.Take:
                        value = (registers[op.A] * op.P) + op.Q;
                        slot = op.C;
                        break;
                    case OpCode.Replace:
                        value = (registers[op.A] * op.P) + op.Q;
                        break;
                    case OpCode.Linear:
                        value = (value * op.P) + op.Q;
                        break;
                    case OpCode.Add:
                        value += (registers[op.A] * op.P) + op.Q;
                        break;
                    case OpCode.Multiply:
                        value *= (registers[op.A] * op.P) + op.Q;
                        break;
                    case OpCode.Limit:
                        value = Math.Min(Math.Max(value, op.P), op.Q);
                        break;
                    case OpCode.Curve:
                        value = curves[op.A].At(value);
                        break;
                    case OpCode.Slow:
                        value = TimedOps.Slow(op, value, passed, memory);
                        break;
                    case OpCode.State:
                        value = StateValue(op, value, registers);
                        break;
                    case OpCode.KeepChain:
                        registers[op.A] = value;
                        continue;
                    default:
                        throw new InvalidOperationException($"{op.Code} is no step of a chain.");
                }
            else if (op.Code == OpCode.Slow)
                memory.Cells[op.A] = value;

            value = Math.Min(Math.Max(value, -largest), largest);
            slots[slot++] = new Percent(value);
        }
    }

    private void Send(ModelMemory memory, Span<Percent> slots, Span<Microseconds> sent)
    {
        for (var i = 0; i < outputs.Length; i++)
        {
            ref readonly var output = ref outputs[i];
            var leaving = output.Sent(slots[output.Slot - 1].Value);
            slots[output.Slot] = new Percent(leaving);
            var holding = output.Holding(memory.Registers);
            memory.Forced[i] = holding;
            if (holding >= 0)
                leaving = output.Forced(holding);
            slots[output.Slot + 1] = new Percent(leaving);
            sent[output.SentIndex] = new Microseconds(Microseconds.Neutral.Value + (microsecondsPerPercent * leaving));
        }
    }

    private double StateValue(in Op op, double value, double[] registers)
    {
        var state = (int)registers[op.B];
        var own = state < 0 ? double.NaN : stateValues[op.A][state];
        return double.IsNaN(own) ? value : own;
    }

    // Called from one place only; inside the loop it costs a fifth less.
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private double Decide(in Op op, double passed, bool lost, ModelMemory memory)
    {
        var registers = memory.Registers;
        switch (op.Code)
        {
            case OpCode.Below:
                return Bit((registers[op.A] * op.P) + op.Q < 0);
            case OpCode.Above:
                return Bit((registers[op.A] * op.P) + op.Q > 0);
            case OpCode.Within:
                return Bit(registers[op.A] > op.P && registers[op.A] <= op.Q);
            case OpCode.Sensor:
                return Bit(!lost && (registers[op.A] - op.Q) * op.P > 0);
            case OpCode.Lost:
                return Bit(lost);
            case OpCode.All:
                return Bit(Count(op, registers) == op.C);
            case OpCode.Any:
                return Bit(Count(op, registers) > 0);
            case OpCode.None:
                return Bit(Count(op, registers) == 0);
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
            case OpCode.ChooseState:
                return FirstHolding(stateLists[op.A], registers);
            default:
                throw new InvalidOperationException($"{op.Code} decides nothing.");
        }
    }

    // How many of the registers from A on hold 1; a handful at most, so a plain loop is the fastest.
    private static int Count(in Op op, double[] registers)
    {
        var count = 0;
        for (var i = op.A; i < op.A + op.C; i++)
            if (registers[i] != 0)
                count++;
        return count;
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
