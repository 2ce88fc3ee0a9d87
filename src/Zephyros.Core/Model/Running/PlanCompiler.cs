using Zephyros.Core.Hands;

namespace Zephyros.Core.Model.Running;

/// <summary>Turns a model into the flat program of a <see cref="ModelPlan"/>, in the order of its dependencies.</summary>
internal sealed class PlanCompiler
{
    private readonly TransmitterModel model;
    private readonly Transmitter transmitter;
    private readonly TestCompiler tests;
    private readonly Dictionary<string, int> planned;
    private readonly HashSet<string> taken;

    public PlanCompiler(Transmitter transmitter, TransmitterModel model)
    {
        (this.transmitter, this.model) = (transmitter, model);
        Layout = new PlanLayout(transmitter, model);
        Graph = ModelGraph.Of(model);
        var slot = 0;
        var channels = new List<PlannedChannel>();
        foreach (var (id, channel) in model.Channels.OrderBy(c => c.Value.Number.Value))
        {
            channels.Add(new PlannedChannel(id, channel, slot, Graph.Behind(new ModelNode(NodeKind.Sent, id))));
            slot += channels[^1].SlotCount;
        }

        Channels = channels;
        planned = channels.Select((c, i) => (c.Id, i)).ToDictionary(p => p.Id, p => p.i, StringComparer.Ordinal);
        taken = ModelReferences
            .Of(model)
            .Where(r => r.Kind == ReferenceKind.Channel && r.Owner.Kind != NodeKind.Sent)
            .Select(r => r.Id)
            .ToHashSet(StringComparer.Ordinal);
        tests = new TestCompiler(this);
    }

    public PlanLayout Layout { get; }

    public ModelGraph Graph { get; }

    public IReadOnlyList<PlannedChannel> Channels { get; }

    public List<Op> Program { get; } = [];

    public List<PlanSection> Sections { get; } = [];

    public List<CurveTable> Curves { get; } = [];

    public List<OutputTable> Outputs { get; } = [];

    public List<double[]> StateValues { get; } = [];

    public List<int[]> StateLists { get; } = [];

    public void Compile()
    {
        foreach (var node in Graph.Order)
        {
            var first = Program.Count;
            switch (node.Kind)
            {
                case NodeKind.Condition:
                    tests.Compile(model.Conditions[node.Id].Test, Layout.ConditionRegister(node.Id));
                    break;
                case NodeKind.State:
                    ChooseState();
                    break;
                case NodeKind.Chain:
                    Chain(planned[node.Id]);
                    break;
                case NodeKind.Control or NodeKind.Sensor or NodeKind.Sent or NodeKind.Announcement or NodeKind.Timer:
                    // Nothing is worked out for it here.
                    break;
                default:
                    throw new InvalidOperationException($"{node.Kind} is not known.");
            }

            Sections.Add(new PlanSection(node, first, Program.Count - first));
        }

        // Nothing depends on what is sent, so all channels leave together at the end.
        foreach (var channel in Channels)
        {
            var overrides = model
                .OverridesOf(channel.Id)
                .Where(o => o.Value.Enabled)
                .Select(o => (Layout.ConditionRegister(o.Value.When), o.Value.Value.Value));
            Outputs.Add(new OutputTable(channel, overrides, transmitter.ForcedPastEnds));
        }
    }

    public Control Control(string id) => transmitter.Controls[id];

    /// <summary>A source as register A x P + Q, multiplied by a factor and shifted.</summary>
    public (int A, double P, double Q) Source(Source source, double factor = 1, double shift = 0)
    {
        switch (source)
        {
            case ControlSource { Control: var id }:
                var trim = model.Trims.TryGetValue(id, out var own) ? own.Value : 0;
                return (Layout.ControlIndex(id), factor, (trim * factor) + shift);
            case ChannelSource { Channel: var id }:
                return (Layout.ChainRegister(id), factor, shift);
            case ConditionSource { Condition: var id }:
                return (Layout.ConditionRegister(id), 200 * factor, (-100 * factor) + shift);
            case SensorSource { Sensor: var id }:
                return (Layout.SensorRegister(id), factor, shift);
            default:
                return (0, 0, (((ConstantSource)source).Value.Value * factor) + shift);
        }
    }

    private void ChooseState()
    {
        StateLists.Add([.. Layout.States.Select(s => s.Value.When is { } when ? Layout.ConditionRegister(when) : -1)]);
        Program.Add(new Op(OpCode.ChooseState, A: StateLists.Count - 1, B: Layout.StateRegister));
    }

    private void Chain(int number)
    {
        var plan = Channels[number];
        var (a, p, q) = Source(plan.Channel.Take);
        Program.Add(new Op(OpCode.Take, a, C: plan.FirstSlot, P: p, Q: q));
        foreach (var (_, step) in plan.Channel.OrderedSteps)
        {
            var op = step.Off ? new Op(OpCode.Linear, P: 1) : Step(step);
            Program.Add(op with { When = When(step) });
        }

        if (taken.Contains(plan.Id))
            Program.Add(new Op(OpCode.KeepChain, Layout.ChainRegister(plan.Id)));
    }

    private int When(ChainStep step) => step is { Off: false, When: { } when } ? Layout.ConditionRegister(when) : -1;

    private Op Step(ChainStep step)
    {
        switch (step)
        {
            case ScaleStep scale:
                return new Op(OpCode.Linear, P: scale.Scale.Value / 100, Q: scale.Shift.Value);
            case CurveStep curve:
                Curves.Add(new CurveTable(curve.Points, curve.Smooth));
                return new Op(OpCode.Curve, Curves.Count - 1);
            case AddStep { With: var with }:
                return With(OpCode.Add, with, 1);
            case MultiplyStep { With: var with }:
                return With(OpCode.Multiply, with, 0.01);
            case SwitchOverStep { With: var with }:
                return With(OpCode.Replace, with, 1);
            case SlowStep slow:
                return new Op(OpCode.Slow, Layout.Cells(1), P: slow.Up.Value / 1000, Q: slow.Down.Value / 1000);
            case LimitStep limit:
                return new Op(OpCode.Limit, P: limit.Low.Value, Q: limit.High.Value);
            // Where the model has no flight states none has a value: what comes goes through.
            case StateStep when Layout.States.Count == 0:
                return new Op(OpCode.Linear, P: 1);
            default:
                StateValues.Add([.. Layout.States.Select(s => Cell((StateStep)step, s.Key))]);
                return new Op(OpCode.State, StateValues.Count - 1, Layout.StateRegister);
        }
    }

    private static double Cell(StateStep step, string state) =>
        step.Values.TryGetValue(state, out var value) ? value.Value : double.NaN;

    private Op With(OpCode code, Operand with, double share)
    {
        var (a, p, q) = Source(with.Take, with.Scale.Value / 100 * share, with.Shift.Value * share);
        return new Op(code, a, P: p, Q: q);
    }
}
