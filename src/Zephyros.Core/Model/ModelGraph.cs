namespace Zephyros.Core.Model;

/// <summary>What depends on what inside a model: the order in which it is computed, its cycles, and who influences whom.</summary>
public sealed class ModelGraph
{
    private readonly SortedDictionary<ModelNode, SortedSet<ModelNode>> uses = [];
    private readonly SortedDictionary<ModelNode, SortedSet<ModelNode>> carries = [];
    private readonly Dictionary<ModelNode, int> index = [];
    private readonly Dictionary<ModelNode, int> low = [];
    private readonly Stack<ModelNode> open = new();
    private readonly HashSet<ModelNode> isOpen = [];
    private readonly List<IReadOnlyList<ModelNode>> groups = [];

    private ModelGraph(TransmitterModel model)
    {
        foreach (var id in model.Conditions.Keys)
            Add(new(NodeKind.Condition, id));
        foreach (var id in model.Channels.Keys)
        {
            Add(new(NodeKind.Chain, id));
            Add(new(NodeKind.Sent, id));
            Link(new(NodeKind.Sent, id), new(NodeKind.Chain, id), carried: true);
        }

        if (model.States.Count > 0)
            Add(ModelNode.ActiveState);
        foreach (var reference in ModelReferences.Of(model))
        {
            if (NodeOf(reference) is { } target && target != reference.Owner)
                Link(reference.Owner, target, reference.Carries);
            else if (NodeOf(reference) == reference.Owner && reference.Owner.Kind != NodeKind.Control)
                uses[reference.Owner].Add(reference.Owner);
        }

        foreach (var node in uses.Keys.ToArray())
            if (!index.ContainsKey(node))
                Visit(node);
    }

    /// <summary>Every node, each after all those that it depends on. Inside a cycle the order is by kind and id, so the result never
    /// depends on the order of declaration.</summary>
    public IEnumerable<ModelNode> Order => groups.SelectMany(g => g);

    /// <summary>The groups of nodes that depend on themselves.</summary>
    public IEnumerable<IReadOnlyList<ModelNode>> Cycles => groups.Where(g => g.Count > 1 || uses[g[0]].Contains(g[0]));

    /// <summary>Draws the graph of a model. References that lead nowhere are passed over.</summary>
    public static ModelGraph Of(TransmitterModel model) => new(model);

    /// <summary>Everything that a node depends on, itself included, however far.</summary>
    public IReadOnlySet<ModelNode> Behind(ModelNode node) => Closure(node, uses);

    /// <summary>Everything whose value reaches a node as a value and not only as a decision, itself included.</summary>
    public IReadOnlySet<ModelNode> CarriedTo(ModelNode node) => Closure(node, carries);

    /// <summary>What a node depends on directly.</summary>
    public IReadOnlyCollection<ModelNode> UsedBy(ModelNode node) => uses.TryGetValue(node, out var used) ? used : [];

    private static SortedSet<ModelNode> Closure(ModelNode node, SortedDictionary<ModelNode, SortedSet<ModelNode>> edges)
    {
        var found = new SortedSet<ModelNode> { node };
        var waiting = new Stack<ModelNode>([node]);
        while (waiting.TryPop(out var next))
            if (edges.TryGetValue(next, out var targets))
                foreach (var target in targets)
                    if (found.Add(target))
                        waiting.Push(target);
        return found;
    }

    private static ModelNode? NodeOf(ModelReference reference) =>
        reference.Kind switch
        {
            ReferenceKind.Control => new(NodeKind.Control, reference.Id),
            ReferenceKind.Channel => new(NodeKind.Chain, reference.Id),
            ReferenceKind.Condition => new(NodeKind.Condition, reference.Id),
            ReferenceKind.Sensor => new(NodeKind.Sensor, reference.Id),
            ReferenceKind.State => ModelNode.ActiveState,
            ReferenceKind.Timer => new(NodeKind.Timer, reference.Id),
        };

    private void Add(ModelNode node)
    {
        uses.TryAdd(node, []);
        carries.TryAdd(node, []);
    }

    private void Link(ModelNode from, ModelNode to, bool carried)
    {
        Add(from);
        Add(to);
        uses[from].Add(to);
        if (carried)
            carries[from].Add(to);
    }

    // Strongly connected components by Tarjan's algorithm: they come out with dependencies first.
    private void Visit(ModelNode node)
    {
        index[node] = low[node] = index.Count;
        open.Push(node);
        isOpen.Add(node);
        foreach (var used in uses[node])
        {
            if (!index.TryGetValue(used, out var visited))
            {
                Visit(used);
                low[node] = Math.Min(low[node], low[used]);
            }
            else if (isOpen.Contains(used))
            {
                low[node] = Math.Min(low[node], visited);
            }
        }

        if (low[node] != index[node])
            return;
        var group = new List<ModelNode>();
        ModelNode member;
        do
        {
            member = open.Pop();
            isOpen.Remove(member);
            group.Add(member);
        } while (member != node);
        group.Sort();
        groups.Add(group);
    }
}
