namespace Zephyros.Core.Captures;

/// <summary>How much of a recording is read; more is refused, so that memory stays bounded.</summary>
internal static class CaptureLimits
{
    /// <summary>The most bytes of a file.</summary>
    public const long Bytes = 50L << 20;

    /// <summary>So many bytes of a dump are read.</summary>
    public const int DumpBytes = 1 << 20;

    /// <summary>The most characters of a line in a file.</summary>
    public const int LineLength = 4096;

    /// <summary>The most wires in a file.</summary>
    public const int Wires = 64;

    /// <summary>The most changes of level on all wires together; they lie in memory.</summary>
    public const int Changes = 6_000_000;

    /// <summary>Why a recording with more of them is refused.</summary>
    public static string TooManyChanges { get; } =
        $"A recording may have {Changes / 1_000_000} million changes of level: record a shorter time, or fewer wires.";

    /// <summary>The latest time in a recording, in nanoseconds: a day.</summary>
    public const double LatestTime = 86_400e9;
}
