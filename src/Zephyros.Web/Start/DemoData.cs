using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Storage;

namespace Zephyros.Web.Start;

/// <summary>Loads the demo setups that ship with the program.</summary>
internal static class DemoData
{
    /// <summary>Puts the demo setups into a store that is empty; one that holds anything is left alone.</summary>
    /// <returns>How many were loaded.</returns>
    /// <exception cref="StoreException">A demo file is no valid setup.</exception>
    public static int LoadIntoEmpty(SetupStore store, string folder)
    {
        if (!store.IsEmpty)
            return 0;
        var setups = Directory.EnumerateFiles(folder, "*.json").Order(StringComparer.Ordinal).Select(Read).ToArray();
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
