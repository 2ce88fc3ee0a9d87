namespace Zephyros.Core.Tests;

/// <summary>How often a property is tried: so often in make test, fifty times as often in make test-deep.</summary>
internal static class Iterations
{
    public static long Of(long usual) => Environment.GetEnvironmentVariable("DEEP") == "1" ? usual * 50 : usual;
}
