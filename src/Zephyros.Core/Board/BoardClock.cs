namespace Zephyros.Core.Board;

/// <summary>When each timer of a board comes to its end. Not safe for use by several threads.</summary>
public sealed class BoardClock
{
    private static readonly BoardTimer[] Timers = Enum.GetValues<BoardTimer>();
    private readonly TimeSpan[] due = new TimeSpan[Timers.Length];
    private readonly TimeSpan[] lengths = new TimeSpan[Timers.Length];

    /// <summary>A clock with no timer running.</summary>
    public BoardClock() => Array.Fill(due, TimeSpan.MaxValue);

    /// <summary>Another clock on which the same timers run.</summary>
    public BoardClock Copy()
    {
        var made = new BoardClock();
        due.CopyTo(made.due, 0);
        lengths.CopyTo(made.lengths, 0);
        return made;
    }

    /// <summary>The timer that ends first, and when; <see cref="TimeSpan.MaxValue"/> when none runs.</summary>
    public (BoardTimer Timer, TimeSpan Due) Next
    {
        get
        {
            var first = Timers[0];
            foreach (var timer in Timers)
                if (due[(int)timer] < due[(int)first])
                    first = timer;
            return (first, due[(int)first]);
        }
    }

    /// <summary>Starts the timers that have begun to run and stops those that no longer do.</summary>
    public void Follow(BoardPlan plan, BoardState state, TimeSpan now)
    {
        foreach (var timer in Timers)
        {
            if (!BoardMachine.Runs(plan, state, timer))
            {
                due[(int)timer] = TimeSpan.MaxValue;
            }
            else if (due[(int)timer] == TimeSpan.MaxValue)
            {
                lengths[(int)timer] = plan.Duration(timer)?.ToTimeSpan() ?? TimeSpan.Zero;
                due[(int)timer] = now + lengths[(int)timer];
            }
        }
    }

    /// <summary>Lets a timer that runs begin anew.</summary>
    public void Restart(BoardTimer timer, TimeSpan now)
    {
        if (due[(int)timer] != TimeSpan.MaxValue)
            due[(int)timer] = now + lengths[(int)timer];
    }
}
