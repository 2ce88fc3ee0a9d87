using System.Text.Json;
using CsCheck;
using Zephyros.Core.Bench;
using Zephyros.Core.Bench.Ahead;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Path.Trace;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>A copy of a bench does what the bench would, and nothing to it; what is looked at ahead is what the edit then brings.</summary>
public sealed class ForkTests
{
    // Of all that can happen to a bench: another number does the same to any bench of the setup.
    private static void Do(BenchRun bench, int happens)
    {
        var controls = bench.Setup.Transmitter.Controls.OrderBy(c => c.Key, StringComparer.Ordinal).ToArray();
        var (id, control) = controls[happens % controls.Length];
        switch (happens % 13)
        {
            case 0:
                bench.SetLink(!bench.Link);
                break;
            case 1:
                bench.SetPower(!bench.Power);
                break;
            case 2:
                bench.SetTransmitter(!bench.TransmitterOn);
                break;
            case 3:
                bench.SetTelemetry(!bench.Telemetry);
                break;
            case 4:
                bench.SetDistance(happens % 2 == 0 ? null : new Kilometres(1 + (happens % 40)));
                break;
            case 5:
                bench.Surround(
                    new Surroundings(new Degrees(happens % 3 * 40), happens % 5 == 0, false, happens % 2 == 0)
                );
                break;
            case 6 when bench.Setup.Model.Sensors.Count > 0:
                bench.Report(
                    bench.Setup.Model.Sensors.Keys.Order(StringComparer.Ordinal).First(),
                    new Reading(happens % 100)
                );
                break;
            case 7:
                bench.PutBattery(new Percent(happens % 101));
                bench.Burst();
                break;
            case 8 when bench.Setup.Model.Sensors.Count > 0:
                bench.Release(bench.Setup.Model.Sensors.Keys.Order(StringComparer.Ordinal).First());
                bench.ResetExtremes();
                break;
            default:
                var settings = control
                    .NamedPositions.Select(p => p.Setting)
                    .Append(-100)
                    .Append(0)
                    .Append(1)
                    .Append(60);
                bench.Move(id, settings.ElementAt(happens / 13 % settings.Count()));
                break;
        }
    }

    private static readonly Gen<(int Event, int Ms)[]> Histories = Gen.Select(
        Gen.Int[0, 5000],
        Gen.OneOf(1, 7, 60, 400)
    ).Array[1, 30];

    private static readonly Setup[] Demos = [Demo.Sandpiper, Demo.Wren, Demo.Gannet];

    private static Setup Any(int seed) => seed % 4 == 0 ? Demos[seed / 4 % Demos.Length] : new RandomCraft(seed).Make();

    private static void Play(BenchRun bench, (int Event, int Ms)[] history)
    {
        foreach (var (happens, ms) in history)
        {
            Do(bench, happens);
            bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(ms));
        }
    }

    // What a copy has of its own is left out: how often it changed, its log, its bars.
    private static string Picture(BenchRun bench) =>
        JsonSerializer.Serialize(
            bench.Snapshot("throttle", long.MaxValue) with
            {
                Sequence = 0,
                Bars = new Dictionary<string, BarTravel>(),
            },
            SetupJson.Options
        );

    [Fact]
    public void A_copy_goes_on_as_the_bench_does_and_neither_does_anything_to_the_other() =>
        Gen.Select(Gen.Int[0, 100_000], Histories, Histories)
            .Sample(
                (seed, before, after) =>
                {
                    var bench = new BenchRun(Any(seed));
                    Play(bench, before);
                    var (copy, other, rest) = (bench.Fork(), bench.Fork(), Picture(bench));
                    Assert.Equal(rest, Picture(copy));
                    foreach (var (happens, ms) in after)
                    {
                        Do(copy, happens);
                        copy.AdvanceTo(copy.Now + TimeSpan.FromMilliseconds(ms));
                        Assert.Equal(rest, Picture(bench));
                        Assert.Equal(rest, Picture(other));
                    }

                    var said = bench.Log.Count;
                    Play(bench, after);
                    Assert.Equal(Picture(bench), Picture(copy));
                    // What happened since is in both logs.
                    Assert.Equal(
                        bench.Log.After(said).Select(e => (e.At, e.Text)),
                        copy.Log.After(0).Select(e => (e.At, e.Text))
                    );
                },
                iter: Iterations.Of(150)
            );

    [Fact]
    public void Another_value_that_a_movement_shows_comes_before_another_word_where_the_hands_stand()
    {
        // The words of the board name the band, wherever the switch stands.
        var next = Demo.Plain.WithArm(f => f with { Low = new(2075), High = new(2100) });
        var ahead = LookAhead.Of(new BenchRun(Demo.Plain), next, "left-shoulder");
        Assert.Equal(("Left shoulder far", "Arm", "off"), (ahead.Where, Board(ahead.Before), Board(ahead.After)));
        var wider = LookAhead.Of(
            new BenchRun(Demo.Plain),
            Demo.Plain.WithArm(f => f with { High = f.High - new Microseconds(25) }),
            "left-shoulder"
        );
        Assert.Equal(("", false, true), (wider.Where, wider.ChangesValues, wider.Changes));

        static string Board(PathTrace path) => path.Stops.Single(s => s.Station == Station.Board).Figure;
    }

    // Where a switch turns out to have two positions, what was in its middle is called far.
    [Fact]
    public void A_position_is_called_as_it_is_before_the_edit()
    {
        var three = Demo.ArmOnThreePositions(1900, 2100);
        var two = three.WithControl("left-front-outer", c => (SwitchControl)c with { Positions = 2 });
        Assert.Equal("Left front, outer mid", LookAhead.Of(new BenchRun(three), two, "throttle").Where);
    }

    [Fact]
    public void What_is_looked_at_ahead_is_what_the_edit_brings() =>
        Gen.Select(Gen.Int[0, 100_000], Histories)
            .Sample(
                (seed, history) =>
                {
                    var setup = Any(seed);
                    if (new RandomEdits(new Random(seed)).Of(setup) is not var (_, next))
                        return;
                    var bench = new BenchRun(setup);
                    Play(bench, history);
                    var rest = Picture(bench);
                    var ahead = LookAhead.Of(bench, next, "throttle");
                    Assert.Equal(rest, Picture(bench));
                    // Other benches, that were never copied.
                    var (now, then) = (new BenchRun(setup), new BenchRun(setup));
                    Play(now, history);
                    Play(then, history);
                    then.Replace(next);
                    var moves = Moves(setup, ahead);
                    Assert.True(IsSeen(now, moves, ahead.Before, ahead.BoardBefore), $"before, {ahead.Where}");
                    Assert.True(IsSeen(then, moves, ahead.After, ahead.BoardAfter), $"after, {ahead.Where}");
                },
                iter: Iterations.Of(150)
            );

    // Within as long as somebody who looks ahead waits.
    private static bool IsSeen(
        BenchRun bench,
        (string Control, double Setting)[] moves,
        PathTrace told,
        BoardReport board
    )
    {
        var rest = TimeSpan.FromMilliseconds(300);
        for (var waited = TimeSpan.Zero; waited <= TimeSpan.FromSeconds(6); waited += rest)
        {
            bench.AdvanceTo(bench.Now + rest);
            var tried = bench.Fork();
            foreach (var (control, setting) in moves)
                tried.Move(control, setting);
            if (moves.Length > 0)
                tried.AdvanceTo(tried.Now + TimeSpan.FromMilliseconds(60));
            var seen = tried.Snapshot(told.Control);
            if (Stops(seen.Trace.Stops) == Stops(told.Stops) && seen.Board == board)
                return true;
        }

        return false;
    }

    private static string Stops(IEnumerable<TraceStop> stops) =>
        string.Join(" | ", stops.Select(s => $"{s.Figure} {s.Unit} {s.Note} {s.Mark}"));

    private static (string Control, double Setting)[] Moves(Setup setup, PathAhead ahead)
    {
        if (ahead.Where.Length == 0)
            return [];
        var (id, control) = setup.Transmitter.Controls.Single(c => c.Key == ahead.Before.Control);
        var named = control.NamedPositions.Where(p => ahead.Where.EndsWith($" {p.Name}", StringComparison.Ordinal));
        return
        [
            .. named.Select(p => (id, p.Setting)).Take(1),
            .. control.NamedPositions.Count > 0
                ? []
                : Enumerable
                    .Range(-10, 21)
                    .Select(t => 10.0 * t)
                    .Where(s => ahead.Where.EndsWith($" at {new Percent(s)}", StringComparison.Ordinal))
                    .Select(s => (id, s)),
        ];
    }
}
