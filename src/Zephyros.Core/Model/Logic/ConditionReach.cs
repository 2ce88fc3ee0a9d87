using Zephyros.Core.Hands;

namespace Zephyros.Core.Model.Logic;

/// <summary>Finds out whether a condition can hold and can fail, by trying everything that decides it: every position of every
/// switch, values on both sides of every limit, telemetry there and lost.</summary>
/// <remarks>Latches, delays and presses have a memory; here each is free to be on when something can set it and free to be off, so
/// an answer "can" may need a sequence of movements. The answer "cannot" is exact. Comparisons of a channel's chain are not looked
/// into: a condition that asks for one gets no answer.</remarks>
public sealed class ConditionReach
{
    private const int MostTries = 60_000;

    // So many tests are looked at for all conditions of a model together, about a second's work; what comes later gets no answer.
    private const long MostWork = 10_000_000;

    private readonly Transmitter transmitter;
    private readonly TransmitterModel model;
    private readonly Dictionary<string, Reach?> known = new(StringComparer.Ordinal);
    private readonly Dictionary<Test, Reach?> remembered = new(ReferenceEqualityComparer.Instance);
    private readonly HashSet<string> cyclic;
    private long work;

    /// <summary>Prepares to ask about the conditions of a model.</summary>
    public ConditionReach(Transmitter transmitter, TransmitterModel model, ModelGraph graph)
    {
        (this.transmitter, this.model) = (transmitter, model);
        cyclic = [.. graph.Cycles.SelectMany(c => c).Where(n => n.Kind == NodeKind.Condition).Select(n => n.Id)];
    }

    /// <summary>What a condition can become, or null when that cannot be told: it hangs on the chain of a channel, is part of a cycle,
    /// or there would be too much to try. Ask in a fixed order where the same answers must come every time.</summary>
    public Reach? Of(string conditionId)
    {
        if (!known.TryGetValue(conditionId, out var reach))
            known[conditionId] = reach = Explore(model.Conditions[conditionId].Test);
        return reach;
    }

    /// <summary>The same for two conditions together: whether both can hold at once.</summary>
    public Reach? Together(string oneId, string otherId) =>
        Explore(new AllTest { Of = [new HoldsTest { Condition = oneId }, new HoldsTest { Condition = otherId }] });

    private Reach? Explore(Test test)
    {
        var inputs = new Inputs(this);
        if (!inputs.Gather(test) || inputs.Tries > MostTries)
            return null;
        var (canHold, canFail) = (false, false);
        var more = true;
        while (more && !(canHold && canFail))
        {
            if (work > MostWork)
                return null;
            if (inputs.Holds(test))
                canHold = true;
            else
                canFail = true;
            more = inputs.Next();
        }

        return new Reach(canHold, canFail);
    }

    // What sets a latch, or what a delay follows, is the same wherever it is met.
    private Reach? Remembered(Test memory, Test deciding)
    {
        if (!remembered.TryGetValue(memory, out var reach))
            remembered[memory] = reach = Explore(deciding);
        return reach;
    }

    // Everything that a test hangs on, each with the choices that it has, counted through like the wheels of a counter.
    private sealed class Inputs(ConditionReach owner)
    {
        private readonly Dictionary<string, (int Wheel, SortedSet<double> Choices)> wheels = new(
            StringComparer.Ordinal
        );

        // Conditions that others ask for: looked into once, and judged once for each try.
        private readonly HashSet<string> walked = new(StringComparer.Ordinal);
        private readonly Dictionary<string, bool> judged = new(StringComparer.Ordinal);
        private readonly Dictionary<Test, int> memories = new(ReferenceEqualityComparer.Instance);
        private double[][] choices = [];
        private int[] counter = [];

        public long Tries => wheels.Values.Aggregate(1L, (n, w) => Math.Min(n * w.Choices.Count, MostTries + 1));

        // False when the answer would not be exact.
        public bool Gather(Test test)
        {
            if (!Walk(test))
                return false;
            choices = [.. wheels.Values.Select(w => w.Choices.ToArray())];
            counter = new int[choices.Length];
            return true;
        }

        public bool Next()
        {
            judged.Clear();
            for (var i = 0; i < counter.Length; i++)
            {
                if (++counter[i] < choices[i].Length)
                    return true;
                counter[i] = 0;
            }

            return false;
        }

        public bool Holds(Test test)
        {
            owner.work++;
            return test switch
            {
                PositionTest position => position.Positions.Contains((int)Value("control:" + position.Control)),
                CompareTest compare => Side(compare.Relation, Compared(compare.Value) - compare.Limit.Value),
                SensorTest sensor => Value("lost") == 0
                    && Side(sensor.Relation, Value("sensor:" + sensor.Sensor) - sensor.Limit.Value),
                TelemetryLostTest => Value("lost") != 0,
                AllTest all => all.Of.All(Holds),
                AnyTest any => any.Of.Any(Holds),
                NotTest not => !not.Of.Any(Holds),
                HoldsTest holds => Holds(holds.Condition),
                StateTest state => ActiveState() == state.State,
                DelayTest delay when !Lags(delay) => delay.Of.All(Holds),
                _ => Value(Memory(test)) != 0,
            };
        }

        private bool Holds(string condition)
        {
            if (!judged.TryGetValue(condition, out var holds))
                judged[condition] = holds = Holds(owner.model.Conditions[condition].Test);
            return holds;
        }

        private bool Walk(string condition) =>
            !owner.cyclic.Contains(condition)
            && (!walked.Add(condition) || Walk(owner.model.Conditions[condition].Test));

        private bool Walk(Test test)
        {
            switch (test)
            {
                case PositionTest position:
                    var control = owner.transmitter.Controls[position.Control];
                    return Choose("control:" + position.Control, control.NamedPositions.Select(p => p.Setting));
                case CompareTest compare:
                    return Compare(compare.Value, compare.Limit.Value);
                case SensorTest sensor:
                    var known = owner.model.Sensors[sensor.Sensor];
                    return Choose("lost", [0, 1])
                        && Choose(
                            "sensor:" + sensor.Sensor,
                            Around(sensor.Limit.Value, known.Lowest.Value, known.Highest.Value)
                        );
                case TelemetryLostTest:
                    return Choose("lost", [0, 1]);
                case HoldsTest holds:
                    return Walk(holds.Condition);
                case StateTest:
                    return owner.model.States.Values.Where(s => s.When is not null).All(s => Walk(s.When!));
                case PressTest:
                    return Choose(Memory(test), [0, 1]);
                case LatchTest latch:
                    return Choose(Memory(test), CanBeSet(latch) ? [0, 1] : [0]);
                case DelayTest delay when Lags(delay):
                    return Choose(Memory(test), Lagging(delay));
                default:
                    return test.Parts.All(Walk);
            }
        }

        private static bool Lags(DelayTest delay) => delay.OnAfter.Value > 0 || delay.OffAfter.Value > 0;

        // While it lags it may differ from what it follows; but what never holds it never follows, and it starts off.
        private double[] Lagging(DelayTest delay)
        {
            var followed = owner.Remembered(delay, new AllTest { Of = delay.Of });
            if (followed is { CanHold: false })
                return [0];
            return followed is { CanFail: false } && delay.OnAfter.Value == 0 ? [1] : [0, 1];
        }

        // A latch that nothing can set while nothing clears it stays off for good.
        private bool CanBeSet(LatchTest latch) =>
            owner.Remembered(latch, new AllTest { Of = [.. latch.Set, new NotTest { Of = latch.Clear }] })
                is not { CanHold: false };

        private bool Compare(Source source, double limit)
        {
            switch (source)
            {
                case ConstantSource:
                    return true;
                case ControlSource { Control: var id }:
                    var control = owner.transmitter.Controls[id];
                    if (control.NamedPositions.Count > 0)
                        return Choose("control:" + id, control.NamedPositions.Select(p => p.Setting));
                    return Choose("control:" + id, Around(limit - Trim(id), -100, 100));
                case SensorSource { Sensor: var id }:
                    var sensor = owner.model.Sensors[id];
                    return Choose("sensor:" + id, Around(limit, sensor.Lowest.Value, sensor.Highest.Value));
                case ConditionSource { Condition: var id }:
                    return Walk(id);
                default:
                    return false;
            }
        }

        private double Compared(Source source) =>
            source switch
            {
                ConstantSource constant => constant.Value.Value,
                ControlSource { Control: var id } => Read(id) + Trim(id),
                SensorSource { Sensor: var id } => Value("sensor:" + id),
                ConditionSource { Condition: var id } => Holds(id) ? 100 : -100,
                _ => 0,
            };

        private double Read(string id) => owner.transmitter.Controls[id].Read(Value("control:" + id))!.Value.Value;

        private double Trim(string id) => owner.model.Trims.TryGetValue(id, out var trim) ? trim.Value : 0;

        private string? ActiveState() =>
            owner.model.StatesByPriority().FirstOrDefault(s => s.Value.When is not { } when || Holds(when)).Key;

        private double Value(string wheel)
        {
            var index = wheels[wheel].Wheel;
            return choices[index][counter[index]];
        }

        private bool Choose(string wheel, IEnumerable<double> values)
        {
            if (!wheels.TryGetValue(wheel, out var known))
                wheels[wheel] = known = (wheels.Count, []);
            known.Choices.UnionWith(values);
            return true;
        }

        // Each latch and press is a wheel of its own, told apart by the object that it is.
        private string Memory(Test test)
        {
            memories.TryAdd(test, memories.Count);
            return $"memory:{memories[test]}";
        }

        private static IEnumerable<double> Around(double limit, double lowest, double highest) =>
            new[] { lowest, limit - 1e-6, limit, limit + 1e-6, highest }.Where(v => v >= lowest && v <= highest);

        private static bool Side(Relation relation, double difference) =>
            relation == Relation.Below ? difference < 0 : difference > 0;
    }
}
