using System.Diagnostics;

namespace Zephyros.Core.Tests.Reference;

/// <summary>Runs a general-purpose tool that results are compared with.</summary>
internal static class OutsideProgram
{
    /// <summary>Runs it to its end.</summary>
    /// <returns>What it printed; what it complained of fails the test.</returns>
    public static string Run(string folder, string program, params string[] arguments)
    {
        var start = new ProcessStartInfo(program, arguments)
        {
            WorkingDirectory = folder,
            UseShellExecute = false,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            // Bytes come out as they are.
            StandardOutputEncoding = System.Text.Encoding.Latin1,
        };
        using var process = Process.Start(start)!;
        var errors = process.StandardError.ReadToEndAsync();
        var said = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        Assert.True(process.ExitCode == 0, $"{program}: {said}{errors.Result}");
        return said;
    }
}
