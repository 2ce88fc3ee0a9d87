using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.PowerOn;

/// <summary>Derives which controls the radio must warn about at switch-on, and where they must stand: everything that can arm, move
/// the throttle or start a motor.</summary>
/// <remarks>Common practice, no source: the radio refuses to start quietly with the arm switch on or the throttle up.</remarks>
public static class PowerOnCheck
{
    private const string AtStart = "start position";

    /// <summary>All controls in their order, those to warn about and those left out.</summary>
    public static IReadOnlyList<PowerOnItem> Of(SignalPlan plan)
    {
        var starting = Starting(plan).ToArray();
        var throttle = plan.ThrottleChannel;
        return [.. plan.Model.Controls.Select(c => Item(plan, c.Key, c.Value, starting, throttle))];
    }

    // Functions that let motors turn or hold them back, each with the channel that works it.
    private static IEnumerable<(BoardFunction Function, PlannedChannel Channel)> Starting(SignalPlan plan) =>
        from function in plan.Setup.Board.Functions.Values
        where function.Kind is FunctionKind.Arm or FunctionKind.ArmConsent or FunctionKind.ThrottleCut
        let channel = plan.ChannelAt(function.Channel)
        where channel is not null
        select (function, channel);

    private static PowerOnItem Item(
        SignalPlan plan,
        string id,
        Control control,
        IReadOnlyList<(BoardFunction Function, PlannedChannel Channel)> starting,
        PlannedChannel? throttle
    )
    {
        var function = starting.Where(s => s.Channel.DependsOn(id)).Select(s => s.Function.Label).FirstOrDefault();
        if (control is StickControl { Axis: StickAxis.Throttle })
            return Warned(id, control, "down", "It moves the throttle.", plan.IsThrottleLowAtStart());
        if (function is null && plan.Setup.Board.Arm?.Value is { } arm && arm.Control == id)
            function = arm.Label;
        if (function is not null)
            return control.NamedPositions.Count > 0
                ? Switch(plan, id, control, $"The board reads it for {function}.")
                : Warned(
                    id,
                    control,
                    "low end",
                    $"The board reads it for {function}.",
                    control.StartValue == Percent.Low
                );
        if (throttle?.DependsOn(id) != true)
            return Left(id, control, "Reaches neither arming nor the throttle.");
        // What decides about the throttle can let it through; what only scales it cannot start a motor by itself.
        if (control.NamedPositions.Count > 0)
            return Switch(plan, id, control, "It decides about the throttle channel.");
        return MovesThrottle(plan, id)
            ? Warned(id, control, AtStart, "By itself it lifts the throttle.", true)
            : Left(id, control, "Changes the throttle, but by itself does not lift it.");
    }

    private static bool MovesThrottle(SignalPlan plan, string id) =>
        new[] { -100.0, 0, 100 }.Any(setting => !plan.ThrottleIsLow(plan.With(id, setting)));

    private static PowerOnItem Switch(SignalPlan plan, string id, Control control, string reason)
    {
        var safe = control.NamedPositions[0];
        var wanted = control.NamedPositions.First(p => p.Setting == control.StartSetting);
        // A switch must start where nothing runs: at its safe end, unless the pilot has chosen another start that is as quiet.
        var quiet = IsQuiet(plan, id, wanted.Setting);
        // Where no position is quiet the fault lies elsewhere, and other rules name it.
        var fits = quiet || !control.NamedPositions.Any(p => IsQuiet(plan, id, p.Setting));
        return Warned(id, control, quiet ? wanted.Name : safe.Name, reason, fits);
    }

    private static bool IsQuiet(SignalPlan plan, string id, double setting)
    {
        var values = plan.With(id, setting);
        return plan.ThrottleIsLow(values)
            && !plan.Setup.Board.Functions.Values.Any(f => f.Kind == FunctionKind.Arm && f.IsActive(values.Received));
    }

    private static PowerOnItem Warned(string id, Control control, string wanted, string reason, bool fits) =>
        new(id, control.Name, wanted, reason, Warns: true, fits)
        {
            Setting = control.NamedPositions.FirstOrDefault(p => p.Name == wanted) is { } position
                ? position.Setting
                : Travelled(control, wanted),
        };

    private static double Travelled(Control control, string wanted) =>
        wanted == AtStart ? control.StartSetting : Percent.Low.Value;

    // What nothing asks for may still be wanted by the pilot.
    private static PowerOnItem Left(string id, Control control, string reason) =>
        control.WarnedBecause.Length == 0
            ? new(id, control.Name, "", reason, Warns: false, StartFits: true)
            : Warned(
                id,
                control,
                control.NamedPositions.FirstOrDefault(p => p.Setting == control.StartSetting)?.Name ?? AtStart,
                control.WarnedBecause,
                fits: true
            ) with
            {
                IsOwn = true,
            };
}
