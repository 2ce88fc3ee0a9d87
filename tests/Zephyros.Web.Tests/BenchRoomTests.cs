using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Units;
using Zephyros.Storage;
using Zephyros.Web.Bench;

namespace Zephyros.Web.Tests;

/// <summary>The bench of a setup against a clock that stands still, jumps and is set by hand.</summary>
public sealed class BenchRoomTests
{
    private readonly HandClock clock = new();
    private readonly Setup wren = SetupJson.Read(File.ReadAllBytes("demo/wren.json")).Setup!;

    [Fact]
    public void Virtual_time_is_real_time_up_to_a_second_at_once()
    {
        var room = Room(1);
        AssertPasses(room, TimeSpan.Zero, TimeSpan.Zero);
        AssertPasses(room, TimeSpan.FromMilliseconds(16), TimeSpan.FromMilliseconds(16));
        AssertPasses(room, TimeSpan.FromMilliseconds(999), TimeSpan.FromMilliseconds(999));
        AssertPasses(room, TimeSpan.FromSeconds(1), TimeSpan.FromSeconds(1));
        // Nobody looked for an hour, or the machine slept.
        AssertPasses(room, TimeSpan.FromHours(1), TimeSpan.FromSeconds(1));
        AssertPasses(room, TimeSpan.FromMilliseconds(16), TimeSpan.FromMilliseconds(16));
    }

    [Fact]
    public void A_picture_is_given_once_for_each_change_and_carries_its_revision()
    {
        var room = Room(3);
        var first = room.Look("throttle", seen: 0)!;
        Assert.Equal((3, "throttle"), (first.Revision, first.Snapshot.Trace.Control));
        Assert.Null(room.Look("throttle", first.Snapshot.Sequence));
        Assert.True(room.Do(run => run.Move("throttle", 10)));
        clock.Passes(TimeSpan.FromMilliseconds(20));
        Assert.NotNull(room.Look("throttle", first.Snapshot.Sequence));
    }

    [Fact]
    public void A_revision_that_comes_late_or_again_does_not_replace_a_newer_one()
    {
        var room = Room(3);
        foreach (
            var (revision, low, stands) in new[] { (5, 1010, 1010), (4, 1020, 1010), (5, 1030, 1010), (6, 1040, 1040) }
        )
        {
            room.Replace(
                Stored(revision, wren with { Board = wren.Board with { ThrottleLow = new Microseconds(low) } })
            );
            Assert.Equal(stands, room.Do(run => run.Setup.Board.ThrottleLow.Value));
        }

        Assert.Equal(6, room.Look("throttle", seen: 0)!.Revision);
    }

    // What goes by before a new revision is simulated with the old one.
    [Fact]
    public void Time_goes_by_before_a_revision_is_replaced()
    {
        var room = Room(1);
        clock.Passes(TimeSpan.FromMilliseconds(700));
        room.Replace(Stored(2, wren));
        Assert.Equal(TimeSpan.FromMilliseconds(700), room.Do(run => run.Now));
    }

    private void AssertPasses(BenchRoom room, TimeSpan real, TimeSpan simulated)
    {
        var before = room.Do(run => run.Now);
        clock.Passes(real);
        Assert.Equal(simulated, room.Do(run => run.Now) - before);
    }

    private BenchRoom Room(int revision) => new(Stored(revision, wren), clock);

    private static StoredSetup Stored(int revision, Setup setup) =>
        new("wren", revision, DateTimeOffset.UnixEpoch, setup, null, null);
}
