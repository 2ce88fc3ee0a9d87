using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Storage;
using Zephyros.Web.Problems;

namespace Zephyros.Web.Start;

/// <summary>Loads the demo setups that ship with the program.</summary>
internal static class DemoData
{
    private static readonly string Shipped = Path.Combine(AppContext.BaseDirectory, "demo");

    /// <summary>Maps the endpoint that brings them to somebody who wants to look around.</summary>
    public static void Map(WebApplication app) =>
        app.MapPost("/api/demo", Load)
            .WithName("LoadDemo")
            .Produces<int>()
            .ProducesProblem(StatusCodes.Status409Conflict);

    private static IResult Load(SetupStore store) =>
        LoadIntoEmpty(store) is > 0 and var loaded
            ? TypedResults.Ok(loaded)
            : Problem.Of(
                StatusCodes.Status409Conflict,
                "There are craft already",
                "The made-up craft come into an empty hangar only."
            );

    /// <summary>Puts the demo setups into a store that is empty; one that holds anything is left alone.</summary>
    /// <returns>How many were loaded.</returns>
    /// <exception cref="StoreException">A demo file is no valid setup.</exception>
    public static int LoadIntoEmpty(SetupStore store)
    {
        if (!store.IsEmpty)
            return 0;
        var setups = Directory.EnumerateFiles(Shipped, "*.json").Order(StringComparer.Ordinal).Select(Read).ToArray();
        foreach (var setup in setups)
            store.Create(setup, "Demo data");
        return setups.Length;
    }

    private static Setup Read(string file)
    {
        var reading = SetupJson.Read(File.ReadAllBytes(file));
        return reading.Setup
            ?? throw new StoreException(
                $"Demo file {Path.GetFileName(file)}: {reading.Problems[0].Place} {reading.Problems[0].Reason}"
            );
    }
}
