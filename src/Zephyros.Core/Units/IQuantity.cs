namespace Zephyros.Core.Units;

/// <summary>A number with a unit. Each quantity is its own value type, so that a unit mistake does not compile.</summary>
/// <typeparam name="TSelf">The quantity itself.</typeparam>
public interface IQuantity<TSelf>
    where TSelf : struct, IQuantity<TSelf>
{
    /// <summary>The bare number, in the unit that the type names.</summary>
    double Value { get; }

    /// <summary>Makes the quantity from a bare number in its unit. Never throws: range is the validator's business.</summary>
    static abstract TSelf From(double value);

    /// <summary>The unit as it is written after the number.</summary>
    static abstract string Symbol { get; }
}
