namespace Zephyros.Core.Model.Timers;

/// <summary>Where a timer stands: the automaton that every timer is.</summary>
/// <param name="Ticks">What was counted since it began anew, in ticks of <see cref="TimeSpan"/>, with their fractions.</param>
/// <param name="Rate">How fast it counts, 0 to 1; 0 while it stands still.</param>
/// <param name="Resets">True while what resets it holds.</param>
public readonly record struct TimerCount(double Ticks, double Rate, bool Resets)
{
    /// <summary>What was counted, in whole ticks.</summary>
    public TimeSpan Counted => TimeSpan.FromTicks((long)Math.Round(Ticks));

    /// <summary>The timer after a time in which nothing changed.</summary>
    public TimerCount After(TimeSpan elapsed) => this with { Ticks = Ticks + (elapsed.Ticks * Rate) };

    /// <summary>The timer once the model has run.</summary>
    /// <param name="rate">How fast it counts from here on, 0 to 1.</param>
    /// <param name="resets">True while what resets it holds; only its beginning resets.</param>
    public TimerCount Follow(double rate, bool resets) => new(resets && !Resets ? 0 : Ticks, rate, resets);

    /// <summary>In what time so much more than nothing will have been counted; <see cref="TimeSpan.MaxValue"/> when it stands still or that
    /// is past.</summary>
    public TimeSpan Until(TimeSpan counted)
    {
        var ahead = counted.Ticks - Ticks;
        // Rounded up, so that it has been counted then.
        return Rate <= 0 || ahead <= 0 || ahead / Rate >= MaxAhead
            ? TimeSpan.MaxValue
            : TimeSpan.FromTicks((long)Math.Ceiling(ahead / Rate));
    }

    // A timer that needs longer, some thousand years, never comes there.
    private const double MaxAhead = 3e17;
}
