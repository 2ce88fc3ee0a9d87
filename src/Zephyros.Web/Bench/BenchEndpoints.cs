using Zephyros.Core.Bench;
using Zephyros.Web.Contracts;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Bench;

/// <summary>The bench as plain requests: what the live stream shows, once; and every channel at three places.</summary>
internal static class BenchEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups.MapGet("/{id}/bench", Look).WithName("GetBench").Finds<BenchMessage>();
        setups.MapGet("/{id}/station-comparison", Compare).WithName("CompareStations").Finds<ComparedChannel[]>();
    }

    private static IResult Look(string id, string? follow, BenchRooms rooms) =>
        rooms.Enter(id) is { } room ? TypedResults.Ok(room.Look(follow ?? "throttle")) : Saving.NoSetup(id);

    private static IResult Compare(string id, BenchRooms rooms) =>
        rooms.Enter(id) is { } room ? TypedResults.Ok(room.Do(run => run.Comparison().ToArray())) : Saving.NoSetup(id);
}
