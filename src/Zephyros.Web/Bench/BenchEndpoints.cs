using Zephyros.Web.Contracts;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Bench;

/// <summary>The bench as a plain request: what the live stream shows, once.</summary>
internal static class BenchEndpoints
{
    /// <summary>Maps the endpoint.</summary>
    public static void Map(RouteGroupBuilder setups) =>
        setups.MapGet("/{id}/bench", Look).WithName("GetBench").Finds<BenchMessage>();

    private static IResult Look(string id, string? follow, BenchRooms rooms) =>
        rooms.Enter(id) is { } room ? TypedResults.Ok(room.Look(follow ?? "throttle", seen: 0)) : Saving.NoSetup(id);
}
