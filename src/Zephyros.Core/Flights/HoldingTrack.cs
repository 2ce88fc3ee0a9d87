namespace Zephyros.Core.Flights;

/// <summary>Keeps when an alarm held, as it is looked at again and again.</summary>
internal sealed class HoldingTrack
{
    private readonly List<Holding> held = [];
    private TimeSpan? since;

    /// <summary>When it held, as far as that is over.</summary>
    public IReadOnlyList<Holding> Held => held;

    /// <summary>Looks at it at a time.</summary>
    /// <param name="holds">True while it holds.</param>
    /// <param name="lost">True while telemetry is missed.</param>
    /// <param name="now">The time.</param>
    public void Look(bool holds, bool lost, TimeSpan now)
    {
        if (holds)
            since ??= now;
        else
            Close(now, lost ? HoldingEnd.TelemetryMissed : HoldingEnd.ByItself);
    }

    /// <summary>The recording ends.</summary>
    public void End(TimeSpan now) => Close(now, HoldingEnd.Over);

    private void Close(TimeSpan now, HoldingEnd how)
    {
        if (since is { } from)
            held.Add(new Holding(from, now, how));
        since = null;
    }
}
