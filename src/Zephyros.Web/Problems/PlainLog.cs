using Microsoft.AspNetCore.SignalR;
using Microsoft.Extensions.Logging.Abstractions;
using Microsoft.Extensions.Logging.Console;

namespace Zephyros.Web.Problems;

/// <summary>Writes the log: a call that was refused in one line, since nothing is wrong with the program; a fault with all that is known
/// of it.</summary>
internal sealed class PlainLog() : ConsoleFormatter(nameof(PlainLog))
{
    // What a client sent may be part of what it was told.
    private const int LongestRefusal = 300;

    /// <inheritdoc />
    public override void Write<TState>(
        in LogEntry<TState> logEntry,
        IExternalScopeProvider? scopeProvider,
        TextWriter textWriter
    )
    {
        var said = logEntry.Formatter(logEntry.State, logEntry.Exception);
        if (logEntry.Exception is HubException refused)
        {
            var line = $"Refused: {said} {refused.Message}".ReplaceLineEndings(" ");
            textWriter.WriteLine(line.Length > LongestRefusal ? $"{line[..LongestRefusal]}…" : line);
            return;
        }

        textWriter.WriteLine($"{logEntry.LogLevel}: {logEntry.Category}: {said}");
        if (logEntry.Exception is { } error)
            textWriter.WriteLine(error);
    }
}
