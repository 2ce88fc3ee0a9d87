using Zephyros.Core.Bench;
using Zephyros.Core.Flights.Trial;
using Zephyros.Storage;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Bench;

/// <summary>The bench of one setup, shared by all its tabs; the last movement wins. Virtual time follows real time whenever somebody
/// looks or moves, so a bench that nobody watches costs nothing.</summary>
internal sealed class BenchRoom
{
    // A bench that nobody looked at stands still: at most so much of the time that went by is simulated.
    private static readonly TimeSpan LongestStep = TimeSpan.FromSeconds(1);

    // So much of the log a page that opens is told.
    private const int Latest = 16;

    private readonly Lock gate = new();
    private readonly TimeProvider clock;
    private readonly BenchRun run;
    private long last;
    private int revision;
    private AlarmTest? test;

    public BenchRoom(StoredSetup stored, TimeProvider clock)
    {
        this.clock = clock;
        run = new BenchRun(stored.Setup);
        revision = stored.Revision;
        last = clock.GetTimestamp();
    }

    /// <summary>Puts a newer revision on the bench; an older one that comes late is passed over.</summary>
    public void Replace(StoredSetup stored)
    {
        lock (gate)
        {
            if (stored.Revision <= revision)
                return;
            CatchUp();
            test?.BreakOff();
            revision = stored.Revision;
            run.Replace(stored.Setup);
        }
    }

    /// <summary>Does something to the bench at this moment.</summary>
    public T Do<T>(Func<BenchRun, T> action)
    {
        lock (gate)
        {
            CatchUp();
            return action(run);
        }
    }

    /// <summary>The picture, when it is another one than that of <paramref name="seen"/>; null otherwise.</summary>
    /// <param name="follow">The control that is followed.</param>
    /// <param name="seen">The number of the picture seen last.</param>
    /// <param name="known">The newest entry of the log that is known already; null for none, which brings the latest ones.</param>
    public BenchMessage? Look(string follow, long seen = 0, long? known = null)
    {
        lock (gate)
        {
            CatchUp();
            return run.Sequence == seen
                ? null
                : new BenchMessage(revision, run.Snapshot(follow, known ?? run.Log.Count - Latest), test?.Picture);
        }
    }

    /// <summary>Raises the limit of an alarm for the moment; it is put back by itself once it was heard.</summary>
    /// <returns>Why that cannot be; empty when it was done.</returns>
    public string TestAlarm(string condition)
    {
        lock (gate)
        {
            CatchUp();
            if (test is { Runs: true })
                return "Another alarm is being tested.";
            var (begun, obstacle) = AlarmTest.Begin(run, condition);
            test = begun ?? test;
            return obstacle;
        }
    }

    private void CatchUp()
    {
        var timestamp = clock.GetTimestamp();
        var passed = clock.GetElapsedTime(last, timestamp);
        last = timestamp;
        run.AdvanceTo(run.Now + (passed < LongestStep ? passed : LongestStep));
        test?.Look();
    }
}
