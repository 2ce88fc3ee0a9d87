using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Path;

namespace Zephyros.Core.Proof.Reduced;

/// <summary>What the pilot lets take a channel over: overrides that are enabled, and flight states with a value of their own for it.</summary>
internal sealed class DeclaredOverrides
{
    private readonly IReadOnlyList<(int Register, double Value)> forces = [];
    private readonly double[] states = [];
    private readonly int stateRegister;

    /// <summary>Finds them for a channel of the model.</summary>
    /// <param name="plan">The setup.</param>
    /// <param name="channel">The id of the channel.</param>
    public DeclaredOverrides(SignalPlan plan, string channel)
    {
        var index = plan.Model.Channels.ToList().FindIndex(c => c.Id == channel);
        stateRegister = plan.Model.Layout.StateRegister;
        if (index < 0)
            return;
        forces = plan.Model.Outputs[index].Forces;
        foreach (var section in plan.Model.Sections.Where(s => s.Node == new ModelNode(NodeKind.Chain, channel)))
        foreach (var op in plan.Model.Program.Slice(section.First, section.Count))
            if (op.Code == OpCode.State)
                states = plan.Model.StateValues[op.A];
        Names =
        [
            .. plan.Setup.Model.OverridesOf(channel).Where(o => o.Value.Enabled).Select(o => o.Value.Label),
            .. plan
                .Model.States.Where((_, i) => i < states.Length && !double.IsNaN(states[i]))
                .Select(s => $"the flight state {s.Value.Label}"),
        ];
    }

    /// <summary>Their names, overrides first.</summary>
    public IReadOnlyList<string> Names { get; } = [];

    /// <summary>True when one of them has the channel.</summary>
    /// <param name="register">What a register of the compiled model holds.</param>
    public bool Hold(Func<int, double> register)
    {
        foreach (var force in forces)
            if (register(force.Register) != 0)
                return true;
        var state = states.Length > 0 ? (int)register(stateRegister) : -1;
        return state >= 0 && !double.IsNaN(states[state]);
    }
}
