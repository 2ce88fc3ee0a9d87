using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Search;

/// <summary>What the movement of an input is to a promise.</summary>
/// <param name="plan">The setup.</param>
/// <param name="check">What is looked at.</param>
/// <param name="stops">Which movements were proven to stop the motors or to end thrust.</param>
internal sealed class InputRoles(SignalPlan plan, PromiseCheck check, StopControls stops)
{
    /// <summary>The roles, as far as the check looks at them: fewer roles are fewer cases.</summary>
    /// <param name="kind">What kind of input it is.</param>
    /// <param name="id">Its id.</param>
    /// <param name="goesTo">Whether a setting is among those that it may go to in this movement.</param>
    public Roles Of(InputKind kind, string id, Func<double, bool> goesTo)
    {
        if (kind == InputKind.Telemetry && goesTo(ProofScope.TelemetryLost))
            return (Roles.Telemetry | Roles.TelemetryGoes) & check.LooksAt;
        if (kind != InputKind.Control)
            return Roles.Telemetry & check.LooksAt;
        var control = plan.Setup.Transmitter.Controls[id];
        var roles = control switch
        {
            StickControl { Axis: StickAxis.Throttle } => Roles.ThrottleStick,
            StickControl => Roles.OtherStick,
            _ => Roles.None,
        };
        roles |= control is SwitchControl made && goesTo(made.Safe) ? Roles.ToSafeEnd : Roles.NotToSafeEnd;
        foreach (var function in plan.Setup.Board.Functions.Values)
            if (function.Control == id)
                roles |=
                    function.Kind == FunctionKind.Arm ? Roles.Arms
                    : function.Kind == FunctionKind.ArmConsent ? Roles.Consents
                    : Roles.None;
        if (check.Named?.Control == id)
            roles |= goesTo(check.Named.Value.Setting) ? Roles.Named : Roles.NamedAway;
        if ((check.LooksAt & (Roles.Stops | Roles.EndsThrust)) != 0)
            roles |= stops.RolesOf(id, goesTo);
        return roles & check.LooksAt;
    }

    /// <summary>The roles of putting an input into a cell.</summary>
    public Roles Of(ProofInput input, int cell) => Of(input.Kind, input.Id, input.Cells[cell].Covers);

    /// <summary>The roles of a step that is played.</summary>
    public Roles Of(StepInput input) =>
        Of(
            input.Kind,
            input.Id,
            setting => setting == input.Setting || (setting >= input.From && setting <= input.UpTo)
        );
}
