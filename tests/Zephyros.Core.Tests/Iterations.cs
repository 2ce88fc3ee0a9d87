namespace Zephyros.Core.Tests;

/// <summary>How often a property is tried: so often in make test, more often in make test-deep, which must end within an hour.</summary>
internal static class Iterations
{
    /// <summary>True in make test-deep.</summary>
    public static bool Deep { get; } = Environment.GetEnvironmentVariable("DEEP") == "1";

    /// <summary>A count for what takes next to nothing: twenty times as many in make test-deep.</summary>
    public static long Of(long usual) => Deep ? usual * 20 : usual;

    /// <summary>A count for whole proofs of random craft, each of which takes seconds: five times as many in make test-deep.</summary>
    public static long OfProofs(long usual) => Deep ? usual * 5 : usual;
}
