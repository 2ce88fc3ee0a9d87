namespace Zephyros.Web.Tests;

/// <summary>A clock that stands still until it is told that time passes.</summary>
internal sealed class HandClock : TimeProvider
{
    private long ticks = 1_000_000;

    /// <inheritdoc />
    public override long TimestampFrequency => TimeSpan.TicksPerSecond;

    /// <summary>Lets time pass.</summary>
    public void Passes(TimeSpan time) => ticks += time.Ticks;

    /// <inheritdoc />
    public override long GetTimestamp() => ticks;
}
