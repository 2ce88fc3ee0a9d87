namespace Zephyros.Web.Bench;

/// <summary>When a page looks at its bench again: at once with a hand that moves it, because a picture that goes with the movement is newest and
/// wakes no thread of its own; by the clock while nothing is moved. On the average 60 times a second at the most. Safe for use by several
/// threads; one waits at a time.</summary>
internal sealed class BenchPace : IDisposable
{
    /// <summary>Between two looks, on the average.</summary>
    public static readonly TimeSpan Period = TimeSpan.FromSeconds(1.0 / 60);

    // A hand does not move by the clock of this machine: what comes early by less is not made to wait.
    private static readonly TimeSpan Early = Period / 2;
    private static readonly TimeSpan MuchTooEarly = Period * 0.75;

    private readonly Lock gate = new();
    private readonly PaceThread thread;
    private readonly CancellationTokenRegistration ending;
    private TaskCompletionSource<bool>? waiting;
    private TimeSpan due;
    private bool touched;
    private bool byHand;
    private bool hurried;
    private bool ended;

    /// <summary>A page that looks for the first time.</summary>
    /// <param name="thread">What looks at the clock.</param>
    /// <param name="cancel">Ends it.</param>
    public BenchPace(PaceThread thread, CancellationToken cancel)
    {
        this.thread = thread;
        thread.Join(this);
        ending = cancel.UnsafeRegister(pace => ((BenchPace)pace!).End(), this);
    }

    /// <summary>When it goes on by the clock; <see cref="TimeSpan.MaxValue"/> while nobody waits.</summary>
    public TimeSpan Next
    {
        get
        {
            lock (gate)
                return waiting is null ? TimeSpan.MaxValue : ByClock;
        }
    }

    /// <summary>Somebody has done something to the bench. Whoever waits goes on before this returns; what comes too early for that waits for
    /// the clock.</summary>
    public void Touch()
    {
        if (!Go(byTouch: true))
            thread.Reach(Next);
    }

    /// <summary>Goes on if <see cref="Next"/> has come.</summary>
    public void Go() => Go(byTouch: false);

    /// <summary>Waits for the next look.</summary>
    /// <returns>False when there is none, because it was ended.</returns>
    public Task<bool> NextAsync()
    {
        var next = new TaskCompletionSource<bool>();
        lock (gate)
        {
            if (ended)
                return Task.FromResult(false);
            waiting = next;
        }

        thread.Reach(Next);
        return next.Task;
    }

    /// <inheritdoc />
    public void Dispose()
    {
        ending.Dispose();
        thread.Leave(this);
    }

    // A hand that moved will move again: its next movement brings the picture, and the clock only what comes after the last one.
    private TimeSpan ByClock => byHand && !hurried ? due + Early : due;

    private bool Go(bool byTouch)
    {
        TaskCompletionSource<bool> goes;
        lock (gate)
        {
            var now = thread.Now;
            touched |= byTouch;
            // Right after a look; a hand that is but a little faster than the pace skips one look and goes on.
            hurried |= byTouch && due - now > MuchTooEarly;
            if (waiting is null || now < (byTouch ? due - Early : ByClock))
                return false;
            (goes, waiting) = (waiting, null);
            (byHand, touched, hurried) = (touched, false, false);
            due = (due > now - Early ? due : now - Early) + Period;
        }

        return goes.TrySetResult(true);
    }

    private void End()
    {
        TaskCompletionSource<bool>? goes;
        lock (gate)
        {
            ended = true;
            (goes, waiting) = (waiting, null);
        }

        goes?.TrySetResult(false);
    }
}
