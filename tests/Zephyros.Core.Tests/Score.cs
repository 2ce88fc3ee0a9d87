namespace Zephyros.Core.Tests;

/// <summary>A line that make test prints at its end.</summary>
internal static class Score
{
    /// <summary>Keeps a line for make test; without it, as when one test is run by hand, the line is dropped.</summary>
    public static void Tell(string line)
    {
        if (Environment.GetEnvironmentVariable("ZEPHYROS_RESULTS") is { } folder)
            File.AppendAllText(System.IO.Path.Combine(folder, "scores.txt"), line + "\n");
    }

    /// <summary>Says at once how far a long test is; only in make test-deep.</summary>
    public static void Progress(string line)
    {
        if (Iterations.Deep)
            Console.Error.WriteLine($"{DateTime.Now:HH:mm:ss} {line}");
    }
}
