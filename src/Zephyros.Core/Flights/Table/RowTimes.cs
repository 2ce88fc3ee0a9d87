namespace Zephyros.Core.Flights.Table;

/// <summary>Puts rows in the order of time: a row whose own time is out of line is left out, and where the clock itself jumps, what
/// follows goes on after what was.</summary>
internal sealed class RowTimes
{
    // A clock that is set while it runs jumps farther than anything that a flight leaves out.
    private const double FarthestGap = 3600;

    private const double FirstStep = 0.1;

    private double last;
    private double step = FirstStep;
    private double offset;
    private double held;
    private bool any;

    /// <summary>True while a row is held of which the next must tell whether the clock jumped or the row alone is out of line.</summary>
    public bool Holds { get; private set; }

    /// <summary>What becomes of a row.</summary>
    public enum Fate
    {
        /// <summary>It comes next; a row that was held is out of line.</summary>
        Next,

        /// <summary>It is held, and one that was held before is out of line.</summary>
        Held,

        /// <summary>The clock jumped: the row that was held comes next, then this one.</summary>
        Jumped,
    }

    /// <summary>When the row that comes next was taken, in seconds.</summary>
    public double At { get; private set; }

    /// <summary>When the row that was held was taken, in seconds, once the clock has jumped.</summary>
    public double HeldAt { get; private set; }

    /// <summary>How far the clock jumped, in seconds.</summary>
    public double Jump { get; private set; }

    /// <summary>Takes the time of a row.</summary>
    public Fate Take(double time)
    {
        if (!any)
        {
            (any, last, offset) = (true, time, -time);
            At = 0;
            return Fate.Next;
        }

        if (Follows(time, last))
        {
            Holds = false;
            Go(time);
            return Fate.Next;
        }

        if (Holds && Follows(time, held))
        {
            (Jump, Holds) = (held - last, false);
            HeldAt = last + offset + step;
            offset = HeldAt - held;
            last = held;
            Go(time);
            return Fate.Jumped;
        }

        (held, Holds) = (time, true);
        return Fate.Held;
    }

    private static bool Follows(double time, double before) => time >= before && time - before <= FarthestGap;

    private void Go(double time)
    {
        if (time > last)
            step = time - last;
        last = time;
        At = time + offset;
    }
}
