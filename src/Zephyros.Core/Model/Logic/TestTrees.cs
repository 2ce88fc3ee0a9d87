using System.Collections.Immutable;

namespace Zephyros.Core.Model.Logic;

/// <summary>Looks into a tree of tests, and makes one with a part replaced.</summary>
internal static class TestTrees
{
    /// <summary>The tests of sensors in a tree, in its order.</summary>
    public static IEnumerable<SensorTest> SensorTests(Test test) =>
        test is SensorTest own ? [own] : test.Parts.SelectMany(SensorTests);

    /// <summary>A tree with one of its parts, which is found by reference, replaced.</summary>
    public static Test Replace(Test tree, Test old, Test fresh) =>
        Rebuild(tree, (was, now) => ReferenceEquals(was, old) ? fresh : now);

    /// <summary>A tree made anew from its leaves up.</summary>
    /// <param name="tree">The tree.</param>
    /// <param name="each">Makes each part: as it was, and with what has become of its own parts.</param>
    public static Test Rebuild(Test tree, Func<Test, Test, Test> each)
    {
        ImmutableArray<Test> In(ImmutableArray<Test> parts) => [.. parts.Select(p => Rebuild(p, each))];
        return each(
            tree,
            tree switch
            {
                AllTest all => all with { Of = In(all.Of) },
                AnyTest any => any with { Of = In(any.Of) },
                NotTest not => not with { Of = In(not.Of) },
                LatchTest latch => latch with { Set = In(latch.Set), Clear = In(latch.Clear) },
                DelayTest delay => delay with { Of = In(delay.Of) },
                _ => tree,
            }
        );
    }

    /// <summary>The parts from the root of a tree down to one that is found by reference, that one last; none when it is not there.</summary>
    public static IReadOnlyList<Test> WayTo(Test tree, Test part)
    {
        if (ReferenceEquals(tree, part))
            return [tree];
        foreach (var inner in tree.Parts)
            if (WayTo(inner, part) is { Count: > 0 } way)
                return [tree, .. way];
        return [];
    }
}
