namespace Zephyros.Core.Flights.Table;

/// <summary>How much of a recorded flight is read; more is refused, so that memory stays bounded.</summary>
public static class FlightLimits
{
    /// <summary>The most bytes of a file.</summary>
    public const long Bytes = 128L << 20;

    /// <summary>The most rows.</summary>
    public const int Rows = 1_250_000;

    /// <summary>The most columns of a table.</summary>
    public const int Columns = 250;

    /// <summary>The most characters of a line.</summary>
    internal const int LineLength = 16_384;

    /// <summary>So many damaged places are named; the others are counted.</summary>
    internal const int Damages = 200;

    /// <summary>A day: no flight is longer.</summary>
    internal static readonly TimeSpan Longest = TimeSpan.FromDays(1);
}
