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
        return store.Find(id) is { } stored ? rooms.GetOrAdd(id, _ => new BenchRoom(stored, clock)) : null;
    }

    /// <summary>Puts a new revision on the bench of its setup, when that is in use.</summary>
    public void Refresh(StoredSetup stored)
    {
        if (rooms.TryGetValue(stored.Id, out var room))
            room.Replace(stored);
    }
}
