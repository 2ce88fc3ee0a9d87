using System.Diagnostics;
using System.Globalization;
using Zephyros.Core.Craft;
using Zephyros.Core.Loss;
using Zephyros.Core.Setups.Json;

namespace Zephyros.Benchmarks;

/// <summary>How long it takes to play a loss of the signal with its return, and to see it with another flight.</summary>
internal static class LossFigures
{
    private const int Flights = 200;

    /// <summary>Prints everything.</summary>
    public static void Print()
    {
        foreach (var name in new[] { "sandpiper", "wren" })
        {
            var setup = SetupJson.Read(File.ReadAllBytes($"demo/{name}.json")).Setup!;
            // The first ones pay for the compiler.
            for (var i = 0; i < 20; i++)
                LossPlay.Of(setup, default, fix: false);
            var clock = Stopwatch.StartNew();
            for (var i = 0; i < 10; i++)
                LossPlay.Of(setup, default, fix: false);
            Print($"a loss of {name}, played with its return", clock.Elapsed.TotalMilliseconds / 10);
            var play = LossPlay.Of(setup, default, fix: false)!;
            clock.Restart();
            for (var i = 0; i < Flights; i++)
                play.With(FlightAtLoss.Usual with { Speed = new(i % 40), FallsAt = new(20) });
            Print("the same with another flight", clock.Elapsed.TotalMilliseconds / Flights);
        }
    }

    private static void Print(string what, double milliseconds) =>
        Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{what, -44} {milliseconds:F2} ms"));
}
