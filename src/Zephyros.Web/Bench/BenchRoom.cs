using System.Collections.Immutable;
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
    private ImmutableArray<BenchPace> paces = [];

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

        Touch();
    }

    /// <summary>Lets a page be told when something was done to the bench, until it leaves.</summary>
    public void Join(BenchPace pace) => ImmutableInterlocked.Update(ref paces, (all, one) => all.Add(one), pace);

    /// <summary>The page looks no longer.</summary>
    public void Leave(BenchPace pace) => ImmutableInterlocked.Update(ref paces, (all, one) => all.Remove(one), pace);

    /// <summary>Does something to the bench at this moment.</summary>
    public T Do<T>(Func<BenchRun, T> action)
    {
        T done;
        lock (gate)
        {
            CatchUp();
            done = action(run);
        }

        Touch();
        return done;
    }

    /// <summary>The picture, when it is another one than that of <paramref name="seen"/>; null otherwise.</summary>
    /// <param name="follow">The control that is followed.</param>
    /// <param name="seen">The number of the picture seen last.</param>
    /// <param name="known">The newest entry of the log that is known already; null for none, which brings the latest ones.</param>
    /// <param name="workings">True when the sums along the path are wanted as well.</param>
    public BenchMessage? Look(string follow, long seen = 0, long? known = null, bool workings = false)
    {
        lock (gate)
        {
            CatchUp();
            return run.Sequence == seen
                ? null
                : new BenchMessage(
                    revision,
                    run.Snapshot(follow, known ?? run.Log.Count - Latest, workings),
                    test?.Picture
                );
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

    // Not while the gate is held: a page looks before this returns.
    private void Touch()
    {
        foreach (var pace in paces)
            pace.Touch();
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
