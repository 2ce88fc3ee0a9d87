using System.Collections;

namespace Zephyros.Core.Proof.Tables;

/// <summary>A list that equals another with the same items in the same order.</summary>
internal sealed class EquatableList<T>(IReadOnlyList<T> items) : IReadOnlyList<T>, IEquatable<EquatableList<T>>
{
    /// <inheritdoc />
    public int Count => items.Count;

    /// <inheritdoc />
    public T this[int index] => items[index];

    /// <inheritdoc />
    public bool Equals(EquatableList<T>? other) => other is not null && items.SequenceEqual(other);

    /// <inheritdoc />
    public override bool Equals(object? obj) => Equals(obj as EquatableList<T>);

    /// <inheritdoc />
    public override int GetHashCode()
    {
        var hash = new HashCode();
        foreach (var item in items)
            hash.Add(item);
        return hash.ToHashCode();
    }

    /// <inheritdoc />
    public IEnumerator<T> GetEnumerator() => items.GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();
}
