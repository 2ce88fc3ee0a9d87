namespace Zephyros.Core.Model;

/// <summary>Something in a model that has a value of its own: a control, a chain, what a channel sends, a condition, a flight state, a sensor.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Id">Its id. All flight states are one node, the active one, whose id is empty.</param>
public readonly record struct ModelNode(NodeKind Kind, string Id) : IComparable<ModelNode>
{
    /// <summary>The active flight state.</summary>
    public static ModelNode ActiveState { get; } = new(NodeKind.State, "");

    /// <inheritdoc />
    public int CompareTo(ModelNode other) =>
        Kind != other.Kind ? Kind.CompareTo(other.Kind) : string.CompareOrdinal(Id, other.Id);

    /// <summary>Compares by kind, then by id.</summary>
    public static bool operator <(ModelNode left, ModelNode right) => left.CompareTo(right) < 0;

    /// <summary>Compares by kind, then by id.</summary>
    public static bool operator >(ModelNode left, ModelNode right) => left.CompareTo(right) > 0;

    /// <summary>Compares by kind, then by id.</summary>
    public static bool operator <=(ModelNode left, ModelNode right) => left.CompareTo(right) <= 0;

    /// <summary>Compares by kind, then by id.</summary>
    public static bool operator >=(ModelNode left, ModelNode right) => left.CompareTo(right) >= 0;
}
