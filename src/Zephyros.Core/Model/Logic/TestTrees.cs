using System.Collections.Immutable;

namespace Zephyros.Core.Model.Logic;

/// <summary>Looks into a tree of tests, and makes one with a part replaced.</summary>
internal static class TestTrees
{
    /// <summary>The tests of sensors in a tree, in its order.</summary>
    public static IEnumerable<SensorTest> SensorTests(Test test) =>
        test is SensorTest own ? [own] : test.Parts.SelectMany(SensorTests);

    /// <summary>A tree with one of its parts, which is found by reference, replaced.</summary>
    public static Test Replace(Test tree, Test old, Test fresh)
    {
        if (ReferenceEquals(tree, old))
            return fresh;
        ImmutableArray<Test> In(ImmutableArray<Test> parts) => [.. parts.Select(p => Replace(p, old, fresh))];
        return tree switch
        {
            AllTest all => all with { Of = In(all.Of) },
            AnyTest any => any with { Of = In(any.Of) },
            NotTest not => not with { Of = In(not.Of) },
            LatchTest latch => latch with { Set = In(latch.Set), Clear = In(latch.Clear) },
            DelayTest delay => delay with { Of = In(delay.Of) },
            _ => tree,
        };
    }
}
