using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;

namespace Zephyros.Core.Proof;

/// <summary>What the movement of an input to a cell is to a promise.</summary>
internal static class InputRoles
{
    /// <summary>The roles, as far as a check looks at them: fewer roles are fewer cases.</summary>
    public static Roles Of(SignalPlan plan, PromiseCheck check, ProofInput input, int cell)
    {
        if (input.Kind != InputKind.Control)
            return Roles.Telemetry & check.LooksAt;
        var control = plan.Setup.Transmitter.Controls[input.Id];
        var roles = control switch
        {
            StickControl { Axis: StickAxis.Throttle } => Roles.ThrottleStick,
            StickControl => Roles.OtherStick,
            SwitchControl made when made.Safe == (int)input.Cells[cell].Example => Roles.ToSafeEnd,
            _ => Roles.None,
        };
        foreach (var function in plan.Setup.Board.Functions.Values)
            if (function.Control == input.Id)
                roles |= function.Kind switch
                {
                    FunctionKind.Arm => Roles.Arms,
                    FunctionKind.ArmConsent => Roles.Consents,
                    FunctionKind.ThrottleCut => Roles.Cuts,
                    _ => Roles.None,
                };
        if (check.Named?.Control == input.Id)
            roles |= check.Named.Value.Setting == input.Cells[cell].Example ? Roles.Named : Roles.NamedAway;
        return roles & check.LooksAt;
    }
}
