using System.Diagnostics;

namespace Zephyros.Benchmarks;

/// <summary>The built application as a process of its own, with demo data in a folder of its own.</summary>
internal sealed class RunningApp : IDisposable
{
    private const string AddressPrefix = "Zephyros: ";

    private RunningApp(Process process, Uri address)
    {
        Process = process;
        Address = address;
    }

    public Process Process { get; }

    public Uri Address { get; }

    public static RunningApp Start(string appFolder)
    {
        var data = Directory.CreateTempSubdirectory("zephyros-bench-").FullName;
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, UseShellExecute = false };
        foreach (
            var argument in new[]
            {
                Path.Combine(appFolder, "Zephyros.Web.dll"),
                "--port",
                "0",
                "--data",
                data,
                "--demo",
                "true",
            }
        )
            start.ArgumentList.Add(argument);
        var process = Process.Start(start)!;
        while (process.StandardOutput.ReadLine() is { } line)
        {
            if (line.StartsWith(AddressPrefix, StringComparison.Ordinal))
                return new RunningApp(process, new Uri(line[AddressPrefix.Length..]));
        }

        throw new InvalidOperationException("The application did not start.");
    }

    public void Dispose()
    {
        Process.Kill();
        Process.WaitForExit();
        Process.Dispose();
    }
}
