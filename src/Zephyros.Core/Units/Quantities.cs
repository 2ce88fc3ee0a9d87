namespace Zephyros.Core.Units;

/// <summary>What quantities of the same kind do with each other: compare, add up, differ. Of different kinds nothing compiles.</summary>
public static class Quantities
{
    extension<T>(T quantity)
        where T : struct, IQuantity<T>
    {
        /// <summary>True when one is smaller.</summary>
        public static bool operator <(T one, T other) => one.Value < other.Value;

        /// <summary>True when one is larger.</summary>
        public static bool operator >(T one, T other) => one.Value > other.Value;

        /// <summary>True when one is not larger.</summary>
        public static bool operator <=(T one, T other) => one.Value <= other.Value;

        /// <summary>True when one is not smaller.</summary>
        public static bool operator >=(T one, T other) => one.Value >= other.Value;

        /// <summary>Both together.</summary>
        public static T operator +(T one, T other) => T.From(one.Value + other.Value);

        /// <summary>By how much one is larger.</summary>
        public static T operator -(T one, T other) => T.From(one.Value - other.Value);

        /// <summary>How far it lies from another, either way.</summary>
        public T ApartFrom(T other) => T.From(Math.Abs(quantity.Value - other.Value));

        /// <summary>The smaller of both.</summary>
        public T AtMost(T other) => other < quantity ? other : quantity;

        /// <summary>The larger of both.</summary>
        public T AtLeast(T other) => other > quantity ? other : quantity;
    }
}
