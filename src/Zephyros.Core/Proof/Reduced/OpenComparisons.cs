using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Proof.Cells;

namespace Zephyros.Core.Proof.Reduced;

/// <summary>Comparisons that two or more sticks, dials, sensors or slow steps decide together. Cells leave them open; how one came out is
/// remembered until something moves that it depends on: nothing comes out differently by itself.</summary>
internal sealed class OpenComparisons
{
    private readonly ProofScope scope;
    private readonly IReadOnlySet<ModelNode>[] behind;
    private readonly List<bool[]> stirs = [];

    /// <summary>Finds them.</summary>
    public OpenComparisons(ProofScope scope)
    {
        this.scope = scope;
        var plan = scope.Plan.Model;
        var found = new List<(int Op, IReadOnlySet<ModelNode> Behind)>();
        foreach (var section in plan.Sections.Where(s => scope.Relevant.Contains(s.Node)))
            for (var i = section.First; i < section.First + section.Count; i++)
                if (
                    plan.Program[i].Code is OpCode.Below or OpCode.Above
                    && ChainAt(plan.Program[i].A) is { } chain
                    && Sources(chain) > 1
                )
                    found.Add((i, plan.Graph.Behind(section.Node)));
        Ops = [.. found.Select(f => f.Op)];
        var channels = plan
            .Channels.Index()
            .Where(c => scope.Atoms.Any(a => a.Channel == c.Item.Channel.Number.Value - 1) && Sources(c.Item.Id) > 1)
            .ToArray();
        Channels = [.. channels.Select(c => c.Index)];
        behind = [.. found.Select(f => f.Behind), .. channels.Select(c => c.Item.Behind)];
        Number(_ => true);
        Nothing = Number(_ => false);
    }

    /// <summary>Their places in the program, for conditions.</summary>
    public IReadOnlyList<int> Ops { get; }

    /// <summary>Their channels, by their place in the plan, for what the board reads.</summary>
    public IReadOnlyList<int> Channels { get; }

    /// <summary>How many there are.</summary>
    public int Count => behind.Length;

    /// <summary>The number of what stirs everything: the transmitter is switched on.</summary>
    public const int Everything = 0;

    /// <summary>The number of what stirs nothing.</summary>
    public int Nothing { get; }

    /// <summary>Which of them what has a number stirs.</summary>
    public bool[] Stirred(int number) => stirs[number];

    /// <summary>The number of what some inputs stir when they move.</summary>
    public int ByInputs(IEnumerable<int> inputs)
    {
        ModelNode[] nodes = [.. inputs.SelectMany(NodesOf)];
        return Number(set => nodes.Any(set.Contains));
    }

    /// <summary>The number of what some parts stir whose time has come to its end.</summary>
    public int ByParts(ulong parts)
    {
        ModelNode[] nodes = [.. scope.Parts.Where((_, i) => (parts >> i & 1) != 0).Select(p => p.Owner)];
        return Number(set => nodes.Any(set.Contains));
    }

    // Telemetry as such stirs whatever a sensor decides.
    private IEnumerable<ModelNode> NodesOf(int input) =>
        scope.Inputs[input] switch
        {
            { Kind: InputKind.Telemetry } => scope.Relevant.Where(n => n.Kind is NodeKind.Sensor or NodeKind.Condition),
            { Kind: InputKind.Sensor, Id: var id } => [new(NodeKind.Sensor, id)],
            { Kind: InputKind.Control, Id: var id } => [new(NodeKind.Control, id)],
        };

    private int Number(Func<IReadOnlySet<ModelNode>, bool> stirs)
    {
        bool[] made = [.. behind.Select(stirs)];
        var known = this.stirs.FindIndex(s => s.AsSpan().SequenceEqual(made));
        if (known >= 0)
            return known;
        this.stirs.Add(made);
        return this.stirs.Count - 1;
    }

    // How many sticks, dials, sensors and slow steps are carried into a chain.
    private int Sources(string chain)
    {
        var carried = scope.Plan.Model.Graph.CarriedTo(new ModelNode(NodeKind.Chain, chain));
        return scope.Inputs.Count(i =>
                i.Cells.Any(c => c.Stretches.Any(s => s.From < s.UpTo))
                && carried.Any(n => n.Id == i.Id && n.Kind is NodeKind.Control or NodeKind.Sensor)
            ) + scope.Parts.Count(p => p.Code == OpCode.Slow && carried.Contains(p.Owner));
    }

    private string? ChainAt(int register) =>
        scope.Plan.Model.Channels.FirstOrDefault(c => scope.Plan.Model.Layout.ChainRegister(c.Id) == register)?.Id;
}
