using Zephyros.Core.Hands;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>Puts the parts of a model into plain words, with the pilot's names for everything.</summary>
/// <param name="transmitter">The transmitter, for the names of its controls.</param>
/// <param name="model">The model.</param>
public sealed class ModelWords(Transmitter transmitter, TransmitterModel model)
{
    /// <summary>A source: "Throttle", "channel Throttle", "condition Armed", "+40 %".</summary>
    public string Of(Source source) =>
        source switch
        {
            ControlSource { Control: var id } => Control(id),
            ChannelSource { Channel: var id } =>
                $"channel {(model.Channels.TryGetValue(id, out var channel) ? channel.Label : id)}",
            ConditionSource { Condition: var id } => $"condition {Condition(id)}",
            SensorSource { Sensor: var id } => $"sensor {Sensor(id)}",
            ConstantSource { Value: var value } => value.ToString(),
            _ => "",
        };

    /// <summary>An operand: "Left dial × 25 % +75 %"; the factor and the shift only where they do something.</summary>
    public string Of(Operand operand)
    {
        if (operand.Take is ConstantSource constant)
            return new Percent((constant.Value.Value * operand.Scale.Value / 100) + operand.Shift.Value).ToString();
        var scale = operand.Scale == Percent.High ? "" : $" × {Figures.Plain(operand.Scale.Value)} %";
        var shift = operand.Shift.Value == 0 ? "" : $" {operand.Shift}";
        return Of(operand.Take) + scale + shift;
    }

    /// <summary>A step with its condition where it has one: "multiply by Left dial × 25 % +75 %, while Limiter on".</summary>
    public string Of(ChainStep step)
    {
        var off = step.Off ? " (off)" : "";
        return step.When is { } when ? $"{Action(step)}, while {Condition(when)}{off}" : Action(step) + off;
    }

    /// <summary>What a step does, without its condition: "multiply by Left dial × 25 % +75 %".</summary>
    public string Action(ChainStep step) =>
        step switch
        {
            ScaleStep s => Scaled(s),
            CurveStep s => $"curve of {s.Points.Length} points, {(s.Smooth ? "rounded" : "straight")}",
            AddStep s => $"add {Of(s.With)}",
            MultiplyStep s => $"multiply by {Of(s.With)}",
            SwitchOverStep s => $"switch over to {Of(s.With)}",
            SlowStep s => $"slow: up {Speed(s.Up)}, down {Speed(s.Down)}",
            LimitStep s => $"limit to {s.Low} and {s.High}",
            StateStep s => $"value of the flight state ({s.Values.Count} given)",
            _ => "",
        };

    /// <summary>What a reference belongs to: "channel Throttle", "a flight state", "override on Throttle".</summary>
    public static string Owner(TransmitterModel model, ModelNode owner) =>
        owner.Kind switch
        {
            NodeKind.Condition => $"“{model.Conditions[owner.Id].Label}”",
            NodeKind.State => "a flight state",
            NodeKind.Announcement => $"announcement “{model.Announcements[owner.Id].Says}”",
            NodeKind.Timer => $"timer “{model.Timers[owner.Id].Label}”",
            NodeKind.Sent => $"override on {model.Channels[owner.Id].Label}",
            NodeKind.Chain => $"channel {model.Channels[owner.Id].Label}",
            NodeKind.Control => "a trim",
            NodeKind.Sensor => $"sensor {model.Sensors[owner.Id].Label}",
        };

    /// <summary>A test as one plain sentence without its full stop: "Left shoulder is far and throttle is below -98 %".</summary>
    public string Of(Test test) => Sentence(test, inside: false);

    /// <summary>What a timer does, as sentences: "Counts up while “Aloft” holds. Calls out at 3:00." What it lacks is not said.</summary>
    public string Of(FlightTimer timer)
    {
        var starts = timer.While is { } when ? $" while “{Condition(when)}” holds" : "";
        var weight = timer.Weight is { } control ? $", as fast as {Control(control)} is up" : "";
        var counts =
            $"Counts {(timer.From is { } from ? $"down from {TimerWords.Clock(from)}" : "up")}{starts}{weight}.";
        var times = string.Join(", ", timer.Calls.Select(TimerWords.Clock));
        var calls =
            timer.Calls.IsEmpty ? "Calls nothing out."
            : timer.From is null ? $"Calls out at {times}."
            : $"Calls out with {times} left.";
        var reset = timer.Reset is { } by
            ? $" Begins anew when “{Condition(by.When)}” begins to hold{(by.Readings ? ", lowest and highest readings too." : ".")}"
            : "";
        return $"{counts} {calls}{reset}";
    }

    /// <summary>What an announcement says and when, as a sentence.</summary>
    public string Of(Announcement made)
    {
        var value =
            made.Value is { } spoken ? $" and {Reading(spoken.Reading)} of {Sensor(spoken.Sensor)}"
            : made.Timer is { } timer
                ? $" and the time of {(model.Timers.TryGetValue(timer, out var own) ? own.Label : timer)}"
            : "";
        return made switch
        {
            { When: null } => $"“{made.Says}”{value}, when telemetry tells it.",
            { Every: { } every } => $"“{made.Says}”{value}, every {every.Words} while “{Condition(made.When)}” holds.",
            _ => $"“{made.Says}”{value}, once when “{Condition(made.When)}” begins to hold.",
        };
    }

    /// <summary>The name of a condition.</summary>
    public string Condition(string id) => model.Conditions.TryGetValue(id, out var own) ? own.Label : id;

    /// <summary>The name of a control.</summary>
    public string Control(string id) => transmitter.Controls.TryGetValue(id, out var own) ? own.Name : id;

    private static string Reading(SpokenReading reading) =>
        reading switch
        {
            SpokenReading.Now => "the reading",
            SpokenReading.Lowest => "the lowest reading",
            SpokenReading.Highest => "the highest reading",
        };

    private static string Scaled(ScaleStep step)
    {
        if (step.Scale == Percent.High)
            return step.Shift.Value == 0 ? "× 100 %" : $"shift by {step.Shift}";
        var shift = step.Shift.Value == 0 ? "" : $", shift by {step.Shift}";
        return $"× {Figures.Plain(step.Scale.Value)} %{shift}";
    }

    private string Sentence(Test test, bool inside)
    {
        var text = test switch
        {
            PositionTest position => $"{Control(position.Control)} is {Positions(position)}",
            CompareTest compare => $"{Of(compare.Value)} is {Side(compare.Relation)} {compare.Limit}",
            SensorTest sensor => $"{Sensor(sensor.Sensor)} is {Side(sensor.Relation)} {Limit(sensor)}",
            TelemetryLostTest => "telemetry is lost",
            HoldsTest holds => $"“{Condition(holds.Condition)}” holds",
            NotTest { Of: [HoldsTest holds] } => $"“{Condition(holds.Condition)}” does not hold",
            NotTest { Of: [var only] } => $"not ({Sentence(only, inside: false)})",
            NotTest none => $"none of ({Joined(none.Of, " or ")})",
            StateTest { State: var id } =>
                $"the flight state is {(model.States.TryGetValue(id, out var state) ? state.Label : id)}",
            AllTest all => Joined(all.Of, " and "),
            AnyTest any => Joined(any.Of, " or "),
            LatchTest latch => $"set once {Joined(latch.Set, " and ")}, until {Joined(latch.Clear, " or ")}",
            DelayTest delay => Joined(delay.Of, " and ") + Delays(delay),
            PressTest press => Press(press),
            _ => "",
        };
        var compound = test is LatchTest || test is AllTest { Of.Length: > 1 } or AnyTest { Of.Length: > 1 };
        return inside && compound ? $"({text})" : text;
    }

    private string Joined(IReadOnlyList<Test> parts, string word) =>
        string.Join(word, parts.Select(t => Sentence(t, inside: parts.Count > 1)));

    private string Positions(PositionTest test)
    {
        if (!transmitter.Controls.TryGetValue(test.Control, out var control))
            return string.Join(" or ", test.Positions);
        var names = control.NamedPositions.Where(p => test.Positions.Contains((int)p.Setting)).Select(p => p.Name);
        return string.Join(" or ", names);
    }

    private string Sensor(string id) => model.Sensors.TryGetValue(id, out var own) ? own.Label : id;

    private string Limit(SensorTest test) =>
        model.Sensors.TryGetValue(test.Sensor, out var own) ? own.LimitWords(test.Limit) : test.Limit.ToString();

    private string Press(PressTest press)
    {
        var name = Control(press.Control);
        if (press.Before is not { } before)
            return $"{name} is held for {Seconds(press.AtLeast)}";
        return press.AtLeast.Value == 0
            ? $"{name} was pressed for less than {Seconds(before)}"
            : $"{name} was pressed for {Seconds(press.AtLeast)} to {Seconds(before)}";
    }

    private static string Delays(DelayTest delay)
    {
        var on = delay.OnAfter.Value > 0 ? $" for {Seconds(delay.OnAfter)}" : "";
        return delay.OffAfter.Value > 0 ? $"{on}, and {Seconds(delay.OffAfter)} longer" : on;
    }

    private static string Seconds(Milliseconds span) => Figures.Plain(span.Value / 1000) + " s";

    private static string Side(Relation relation) => relation == Relation.Below ? "below" : "above";

    private static string Speed(PercentPerSecond speed) => speed.Value == 0 ? "at once" : speed.ToString();
}
