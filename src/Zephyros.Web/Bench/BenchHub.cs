using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Microsoft.AspNetCore.SignalR;
using Zephyros.Storage;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Bench;

/// <summary>The live bench. Clients send movements and watch pictures; the server is the judge of what they do.</summary>
internal sealed class BenchHub(BenchRooms rooms, PaceThread thread) : Hub
{
    /// <summary>How many benches one page may watch at once: it needs one, and for a moment two while it changes.</summary>
    public const int MostWatched = 8;

    private const string Watched = "watched";
    private const string Asked = "asked";

    /// <inheritdoc />
    public override Task OnConnectedAsync()
    {
        Context.Items[Watched] = new SemaphoreSlim(MostWatched);
        Context.Items[Asked] = new ConcurrentDictionary<string, WatchCall>(StringComparer.Ordinal);
        return base.OnConnectedAsync();
    }

    /// <summary>Streams a picture whenever the bench changes, at most 60 a second.</summary>
    /// <param name="call">Which bench.</param>
    /// <param name="cancel">Ends the stream.</param>
    public async IAsyncEnumerable<BenchMessage> Watch(WatchCall call, [EnumeratorCancellation] CancellationToken cancel)
    {
        using var place = TakePlace();
        var room = Room(call.Setup);
        var wanted = Wanted;
        wanted[call.Setup] = call;
        using var pace = new BenchPace(thread, cancel);
        room.Join(pace);
        try
        {
            var (seen, shown) = (0L, call);
            long? known = null;
            do
            {
                var now = wanted[call.Setup];
                if (room.Look(now.Follow, now == shown ? seen : 0, known, now.Workings) is not { } message)
                    continue;
                (seen, shown) = (message.Snapshot.Sequence, now);
                known = message.Snapshot.Log is [.., var newest] ? newest.Number : known ?? 0;
                yield return message;
            } while (await pace.NextAsync());
        }
        finally
        {
            room.Leave(pace);
        }
    }

    /// <summary>Lets the pictures of a bench that is watched show something else.</summary>
    public void Follow(WatchCall call) => Act(call.Setup, _ => Wanted[call.Setup] = call);

    /// <summary>Moves controls, all or none of them.</summary>
    public void Move(MoveCall call)
    {
        if (Room(call.Setup).Do(run => run.Move(call.Settings)) is var (control, setting))
            throw new HubException($"There is no control \"{control}\" that can be put at {setting}.");
    }

    /// <summary>Lets a sensor of the craft measure something else.</summary>
    public void Report(ReportCall call)
    {
        var (setup, sensor, reading) = call;
        if (!Room(setup).Do(run => run.Report(sensor, new Core.Units.Reading(reading))))
            throw new HubException($"There is no sensor \"{sensor}\" that can report {reading}.");
    }

    /// <summary>Lets a sensor that is held by hand measure again what there is.</summary>
    public void Release(SensorCall call)
    {
        if (!Room(call.Setup).Do(run => run.Release(call.Sensor)))
            throw new HubException($"There is no sensor \"{call.Sensor}\".");
    }

    /// <summary>Begins anew to keep the lowest and highest readings.</summary>
    public void ResetExtremes(BenchCall call) => Act(call.Setup, run => run.ResetExtremes());

    /// <summary>Lets a timer begin anew.</summary>
    public void ResetTimer(TimerCall call)
    {
        if (!Room(call.Setup).Do(run => run.ResetTimer(call.Timer)))
            throw new HubException($"There is no timer \"{call.Timer}\".");
    }

    /// <summary>Puts a battery into the craft of which a share of the charge is left.</summary>
    public void PutBattery(BatteryCall call)
    {
        if (!Room(call.Setup).Do(run => run.PutBattery(new Core.Units.Percent(call.Left))))
            throw new HubException($"There is no battery of which {call.Left} % can be left.");
    }

    /// <summary>Lets as much current flow for a while as at full throttle.</summary>
    public void Burst(BenchCall call)
    {
        if (!Room(call.Setup).Do(run => run.Burst()))
            throw new HubException("There is no battery in the craft that could give it.");
    }

    /// <summary>Switches the radio link.</summary>
    public void SetLink(SwitchCall call) => Act(call.Setup, run => run.SetLink(call.On));

    /// <summary>Connects the craft's battery or takes it off.</summary>
    public void SetPower(SwitchCall call) => Act(call.Setup, run => run.SetPower(call.On));

    /// <summary>Tilts the craft, connects it for configuration, unlocks arming while connected, gives it a position fix.</summary>
    public void Surround(SurroundCall call)
    {
        var (setup, tilt, connected, unlocked, fix) = call;
        if (tilt is not (>= 0 and <= 180))
            throw new HubException($"A craft can be tilted by 0 to 180 degrees, not {tilt}.");
        Act(setup, run => run.Surround(new Core.Board.Surroundings(new(tilt), connected, unlocked, fix)));
    }

    /// <summary>Begins anew to look how far the bars of the board go.</summary>
    public void WatchBars(BenchCall call) => Act(call.Setup, run => run.WatchBars());

    /// <summary>Begins a guided measuring routine, or ends it.</summary>
    public void Guide(GuideCall call) => Act(call.Setup, run => run.Guide(call.Kind));

    /// <summary>Begins to guide through a loss of the signal, or ends it.</summary>
    public void TryLoss(SwitchCall call) => Act(call.Setup, run => run.TryLoss(call.On));

    /// <summary>Leaves out what the guided routine asks for.</summary>
    public void SkipStep(BenchCall call) => Act(call.Setup, run => run.Skip());

    /// <summary>Takes the craft to a distance in kilometres at which packets are lost, or back to the bench.</summary>
    public void SetDistance(DistanceCall call)
    {
        if (call.Kilometres is not (null or (> 0 and <= 10_000)))
            throw new HubException($"A craft can be up to 10 000 km away, not {call.Kilometres}.");
        Act(call.Setup, run => run.SetDistance(call.Kilometres is { } far ? new Core.Units.Kilometres(far) : null));
    }

    // By setup: what the page wants to see of its bench.
    private ConcurrentDictionary<string, WatchCall> Wanted =>
        (ConcurrentDictionary<string, WatchCall>)Context.Items[Asked]!;

    // Whoever asks for ever more streams gets no more.
    private Place TakePlace()
    {
        var places = (SemaphoreSlim)Context.Items[Watched]!;
        return places.Wait(0)
            ? new Place(places)
            : throw new HubException($"One page can watch {MostWatched} benches at once.");
    }

    private void Act(string setup, Action<Core.Bench.BenchRun> action) =>
        Room(setup)
            .Do(run =>
            {
                action(run);
                return true;
            });

    private BenchRoom Room(string setup)
    {
        try
        {
            return rooms.Enter(setup) ?? throw new HubException($"There is no setup \"{setup}\".");
        }
        catch (Exception error) when (error is UnreadableException or StoreException)
        {
            throw new HubException(error.Message, error);
        }
    }

    private readonly struct Place(SemaphoreSlim places) : IDisposable
    {
        public void Dispose() => places.Release();
    }
}
