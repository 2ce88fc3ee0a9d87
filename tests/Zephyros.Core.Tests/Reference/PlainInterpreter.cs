using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;

namespace Zephyros.Core.Tests.Reference;

/// <summary>Evaluates a model straight from its description, without plan, registers or operations: the meaning of the model, written
/// a second time and as plainly as possible. For models without cycles.</summary>
internal sealed class PlainInterpreter(Transmitter transmitter, TransmitterModel model)
{
    private readonly Dictionary<Test, Memory> memories = new(ReferenceEqualityComparer.Instance);
    private readonly Dictionary<ChainStep, double> slowed = new(ReferenceEqualityComparer.Instance);
    private Dictionary<string, bool> conditions = [];
    private Dictionary<string, List<double>> chains = [];
    private Inputs inputs = null!;

    /// <summary>What comes in: values of controls in percent, readings of sensors, whether telemetry is lost, and the time since the last
    /// step in milliseconds; infinity lets everything come to its end.</summary>
    public sealed record Inputs(
        IReadOnlyDictionary<string, double> Hands,
        IReadOnlyDictionary<string, double> Readings,
        bool Lost,
        double Elapsed
    );

    /// <summary>The value after every step of every channel, then after its output stage, then what is sent.</summary>
    public IReadOnlyDictionary<string, List<double>> Step(Inputs now)
    {
        (inputs, conditions, chains) = (now, [], []);
        // Everything runs at every step, because memories must see every step.
        foreach (var id in model.Conditions.Keys)
            Holds(id);
        foreach (var id in model.Channels.Keys)
            Chain(id);
        return model.Channels.ToDictionary(c => c.Key, c => Sent(c.Key, c.Value), StringComparer.Ordinal);
    }

    public bool Holds(string condition) =>
        conditions.TryGetValue(condition, out var known)
            ? known
            : conditions[condition] = Holds(model.Conditions[condition].Test);

    public string? ActiveState() =>
        model
            .States.OrderBy(s => s.Value.When is null)
            .ThenBy(s => s.Value.Order)
            .Where(s => s.Value.When is null || Holds(s.Value.When))
            .Select(s => s.Key)
            .FirstOrDefault();

    private List<double> Sent(string id, Channel channel)
    {
        var values = Chain(id).ToList();
        var stage = channel.Output;
        var turned = stage.Reverse ? -values[^1] : values[^1];
        var span = turned < 0 ? stage.Centre.Value - stage.Low.Value : stage.High.Value - stage.Centre.Value;
        values.Add(Clamp(stage.Centre.Value + (turned * span / 100), stage.Low.Value, stage.High.Value));
        var forced = model
            .Overrides.Values.Where(o => o.Channel == id && o.Enabled && Holds(o.When))
            .MinBy(o => o.Order)
            ?.Value.Value;
        if (forced is { } value && !transmitter.ForcedPastEnds)
            forced = Clamp(value, stage.Low.Value, stage.High.Value);
        values.Add(forced ?? values[^1]);
        return values;
    }

    private List<double> Chain(string id)
    {
        if (chains.TryGetValue(id, out var known))
            return known;
        var channel = model.Channels[id];
        List<double> values = [Held(Value(channel.Take))];
        foreach (var step in channel.Steps.Values.OrderBy(s => s.Order))
            values.Add(Held(Pass(step, values[^1])));
        return chains[id] = values;
    }

    // A million percent and no more, so that everything stays a number.
    private static double Held(double value) => Clamp(value, -1e6, 1e6);

    private double Pass(ChainStep step, double value)
    {
        var works = !step.Off && (step.When is null || Holds(step.When));
        if (step is SlowStep slow && !step.Off)
            return slowed[step] = works ? Follow(slow, value) : value;
        if (!works)
            return value;
        return step switch
        {
            ScaleStep s => (value * s.Scale.Value / 100) + s.Shift.Value,
            CurveStep s => Curve(s, value),
            AddStep s => value + Value(s.With),
            MultiplyStep s => value * Value(s.With) / 100,
            SwitchOverStep s => Value(s.With),
            LimitStep s => Clamp(value, s.Low.Value, s.High.Value),
            StateStep s => ActiveState() is { } state && s.Values.TryGetValue(state, out var own) ? own.Value : value,
            _ => throw new InvalidOperationException(step.ToString()),
        };
    }

    private double Follow(SlowStep step, double value)
    {
        if (!slowed.TryGetValue(step, out var last))
            return value;
        var perSecond = value > last ? step.Up.Value : step.Down.Value;
        var reach = perSecond == 0 ? double.PositiveInfinity : perSecond * inputs.Elapsed / 1000;
        return last + Clamp(value - last, -reach, reach);
    }

    // Straight curves only; rounded ones are compared with a numeric library.
    private static double Curve(CurveStep step, double x)
    {
        var points = step.Points;
        if (x <= points[0].X.Value)
            return points[0].Y.Value;
        for (var i = 1; i < points.Length; i++)
        {
            var (a, b) = (points[i - 1], points[i]);
            if (x <= b.X.Value)
                return a.Y.Value + ((x - a.X.Value) * (b.Y.Value - a.Y.Value) / (b.X.Value - a.X.Value));
        }

        return points[^1].Y.Value;
    }

    private double Value(Operand operand) => (Value(operand.Take) * operand.Scale.Value / 100) + operand.Shift.Value;

    private double Value(Source source) =>
        source switch
        {
            ControlSource s => inputs.Hands[s.Control] + (model.Trims.TryGetValue(s.Control, out var t) ? t.Value : 0),
            ChannelSource s => Chain(s.Channel)[^1],
            ConditionSource s => Holds(s.Condition) ? 100 : -100,
            SensorSource s => inputs.Readings[s.Sensor],
            ConstantSource s => s.Value.Value,
            _ => throw new InvalidOperationException(source.ToString()),
        };

    private bool Holds(Test test)
    {
        // No short cut: parts with a memory must see every step.
        var parts = test.Parts.Select(Holds).ToArray();
        return test switch
        {
            AllTest => parts.All(p => p),
            AnyTest => parts.Any(p => p),
            NotTest => !parts.Any(p => p),
            HoldsTest t => Holds(t.Condition),
            StateTest t => ActiveState() == t.State,
            TelemetryLostTest => inputs.Lost,
            CompareTest t => Lies(Value(t.Value), t.Relation, t.Limit.Value),
            SensorTest t => !inputs.Lost && Lies(inputs.Readings[t.Sensor], t.Relation, t.Limit.Value),
            PositionTest t => t.Positions.Contains(Position(t.Control)),
            LatchTest t => Of(test).Latch(parts[..t.Set.Length].All(p => p), parts[t.Set.Length..].Any(p => p)),
            DelayTest t => Of(test).Delay(parts.All(p => p), t.OnAfter.Value, t.OffAfter.Value, inputs.Elapsed),
            PressTest t => Of(test).Press(inputs.Hands[t.Control] > 0, t, inputs.Elapsed),
            _ => throw new InvalidOperationException(test.ToString()),
        };
    }

    private int Position(string control) =>
        transmitter.Controls[control] is SwitchControl made
            ? Enumerable.Range(1, made.Positions).Single(p => made.ValueAt(p).Value == inputs.Hands[control])
        : inputs.Hands[control] > 0 ? 1
        : 0;

    private Memory Of(Test test) => memories.TryGetValue(test, out var memory) ? memory : memories[test] = new Memory();

    private static bool Lies(double value, Relation relation, double limit) =>
        relation == Relation.Below ? value < limit : value > limit;

    private static double Clamp(double value, double low, double high) => Math.Max(low, Math.Min(high, value));

    /// <summary>What a latch, a delay or a press remembers. Time that passes belongs to what was there before it.</summary>
    private sealed class Memory
    {
        private bool on;
        private double? since;
        private double? left;

        public bool Latch(bool set, bool clear) => on = !clear && (set || on);

        public bool Delay(bool follows, double onAfter, double offAfter, double elapsed)
        {
            since =
                follows == on ? null
                : since is null && double.IsFinite(elapsed) ? 0
                : (since ?? 0) + elapsed;
            if (since >= (follows ? onAfter : offAfter))
                (on, since) = (follows, null);
            return on;
        }

        public bool Press(bool down, PressTest test, double elapsed)
        {
            var held = since is null && (!down || double.IsFinite(elapsed)) ? 0 : (since ?? 0) + elapsed;
            if (down)
            {
                (since, left) = (held, null);
                return test.Before is null && held >= test.AtLeast.Value;
            }

            if (since is not null && held >= test.AtLeast.Value && held < test.Before?.Value)
                left = PressTest.PulseLength.Value;
            else
                left = since is null && left > elapsed ? left - elapsed : null;
            since = null;
            return left is not null;
        }
    }
}
