using System.Collections.Concurrent;
using Zephyros.Storage;

namespace Zephyros.Web.Bench;

/// <summary>The benches that are in use, by setup.</summary>
internal sealed class BenchRooms(SetupStore store, TimeProvider clock)
{
    private readonly ConcurrentDictionary<string, BenchRoom> rooms = new(StringComparer.Ordinal);

    /// <summary>The bench of a setup, set up when there is none yet; null when there is no such setup.</summary>
    public BenchRoom? Enter(string id)
    {
        if (rooms.TryGetValue(id, out var room))
            return room;
        if (store.Find(id) is not { } stored)
            return null;
        room = rooms.GetOrAdd(id, _ => new BenchRoom(stored, clock));
        // A revision that was saved in the meantime found no bench to be put on.
        if (store.Find(id) is { } newest)
            room.Replace(newest);
        return room;
    }

    /// <summary>Puts a new revision on the bench of its setup, when that is in use.</summary>
    public void Refresh(StoredSetup stored)
    {
        if (rooms.TryGetValue(stored.Id, out var room))
            room.Replace(stored);
    }
}
