using System.Diagnostics;
using System.Globalization;
using System.Text.Json;
using Microsoft.AspNetCore.SignalR.Client;

namespace Zephyros.Benchmarks;

/// <summary>Figures of the running application, as a page meets them on this machine.</summary>
internal static class LiveFigures
{
    private const int Movements = 400;

    public static async Task PrintAsync(string appFolder)
    {
        var starts = new List<double>();
        for (var i = 0; i < 5; i++)
            starts.Add(await StartToFirstPageAsync(appFolder));
        Print("start to first page", $"{Median(starts):F2} s (median of {starts.Count})");
        PrintScripts(appFolder);
        using var app = RunningApp.Start(appFolder);
        PrintMemory(app, "after the start");
        await PrintEndpointsAsync(app);
        await PrintHubAsync(app);
        PrintMemory(app, "after all this");
    }

    private static async Task<double> StartToFirstPageAsync(string appFolder)
    {
        var clock = Stopwatch.StartNew();
        using var app = RunningApp.Start(appFolder);
        using var client = new HttpClient();
        await client.GetStringAsync(app.Address);
        return clock.Elapsed.TotalSeconds;
    }

    private static void PrintScripts(string appFolder)
    {
        var assets = Path.Combine(appFolder, "wwwroot/assets");
        foreach (var ending in (string[])[".br", ".gz"])
        {
            var first = Directory.EnumerateFiles(assets, $"index-*.js{ending}").Sum(Size);
            var all = Directory.EnumerateFiles(assets, $"*.js{ending}").Sum(Size);
            Print($"script as sent, {ending}", $"hangar {first / 1000.0:F0} kB, everything {all / 1000.0:F0} kB");
        }
    }

    private static long Size(string file) => new FileInfo(file).Length;

    private static void PrintMemory(RunningApp app, string when)
    {
        app.Process.Refresh();
        Print($"memory in use {when}", $"{app.Process.WorkingSet64 / 1e6:F0} MB");
    }

    private static async Task PrintEndpointsAsync(RunningApp app)
    {
        using var client = new HttpClient { BaseAddress = app.Address };
        foreach (
            var path in new[]
            {
                "/api/setups",
                "/api/setups/sandpiper",
                "/api/setups/sandpiper/view",
                "/api/setups/sandpiper/findings",
            }
        )
        {
            var times = new List<double>();
            // The first calls are compiled as they run; they count for the start, not here.
            for (var i = 0; i < 100; i++)
                await client.GetStringAsync(new Uri(path, UriKind.Relative));
            for (var i = 0; i < 300; i++)
            {
                var clock = Stopwatch.StartNew();
                await client.GetStringAsync(new Uri(path, UriKind.Relative));
                times.Add(clock.Elapsed.TotalMilliseconds);
            }

            Print($"GET {path}", $"{Percentile(times, 0.95):F1} ms at the 95th percentile");
        }
    }

    // Moves the throttle to and fro and waits each time for the picture that shows it. In between the bench keeps its own pace.
    private static async Task PrintHubAsync(RunningApp app)
    {
        await using var hub = new HubConnectionBuilder().WithUrl(new Uri(app.Address, "/hub/bench")).Build();
        await hub.StartAsync();
        using var done = new CancellationTokenSource();
        var pictures = 0L;
        var wanted = double.NaN;
        var clock = new Stopwatch();
        var latencies = new List<double>();
        var shown = new SemaphoreSlim(0);
        var watching = Task.Run(async () =>
        {
            await foreach (
                var message in hub.StreamAsync<JsonElement>(
                    "Watch",
                    new
                    {
                        setup = "wren",
                        follow = "throttle",
                        workings = false,
                    },
                    done.Token
                )
            )
            {
                pictures++;
                if (
                    message.GetProperty("snapshot").GetProperty("settings").GetProperty("throttle").GetDouble()
                    != wanted
                )
                    continue;
                latencies.Add(clock.Elapsed.TotalMilliseconds);
                wanted = double.NaN;
                shown.Release();
            }
        });
        for (var i = 0; i < Movements; i++)
        {
            clock.Restart();
            Volatile.Write(ref wanted, i % 200 - 100 + 0.5);
            await hub.SendAsync("Move", new { setup = "wren", settings = new { throttle = wanted } });
            await shown.WaitAsync();
        }

        Print(
            "movement to picture",
            $"{Percentile(latencies, 0.5):F1} ms median, {Percentile(latencies, 0.95):F1} ms at the 95th percentile"
        );

        // A stick that never rests: a movement every 16 ms, as fast as a browser draws. What goes before is for the compiler, which still
        // turns what runs often into faster code.
        foreach (var (before, when) in new[] { (10, "after 10 s"), (50, "after a minute") })
        {
            await MoveForAsync(hub, TimeSpan.FromSeconds(before));
            pictures = 0;
            app.Process.Refresh();
            var busyBefore = app.Process.TotalProcessorTime;
            clock.Restart();
            await MoveForAsync(hub, TimeSpan.FromSeconds(10));
            app.Process.Refresh();
            var seconds = clock.Elapsed.TotalSeconds;
            Print($"pictures per second, stick moving, {when}", $"{pictures / seconds:F0}");
            Print(
                $"share of a core for that bench, {when}",
                $"{(app.Process.TotalProcessorTime - busyBefore).TotalSeconds / seconds * 100:F1} %"
            );
        }

        await done.CancelAsync();
        await watching.ContinueWith(_ => { }, TaskScheduler.Default);
    }

    private static async Task MoveForAsync(HubConnection hub, TimeSpan duration)
    {
        var clock = Stopwatch.StartNew();
        for (var i = 0; clock.Elapsed < duration; i++)
        {
            await hub.SendAsync("Move", new { setup = "wren", settings = new { roll = (double)(i % 100) } });
            await Task.Delay(16);
        }
    }

    private static double Median(List<double> values) => Percentile(values, 0.5);

    private static double Percentile(List<double> values, double share)
    {
        var sorted = values.Order().ToArray();
        return sorted[(int)Math.Min(sorted.Length - 1, Math.Floor(share * sorted.Length))];
    }

    private static void Print(string what, FormattableString figure) =>
        Console.WriteLine($"{what, -44} {figure.ToString(CultureInfo.InvariantCulture)}");
}
