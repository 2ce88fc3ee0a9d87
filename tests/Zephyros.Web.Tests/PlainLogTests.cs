using Microsoft.AspNetCore.SignalR;
using Microsoft.Extensions.Logging;
using Microsoft.Extensions.Logging.Abstractions;
using Zephyros.Web.Problems;

namespace Zephyros.Web.Tests;

public sealed class PlainLogTests
{
    [Fact]
    public void A_refused_call_is_one_line_whatever_was_sent()
    {
        var said = Written(new HubException("There is no control \"a\nFault: b\r\n" + new string('x', 5000)));
        Assert.StartsWith("Refused: Failed. There is no control \"a Fault: b ", said, StringComparison.Ordinal);
        Assert.InRange(said.Length, 100, 310);
        Assert.Equal(said.Length - Environment.NewLine.Length, said.IndexOfAny(['\r', '\n']));
    }

    [Fact]
    public void A_fault_is_written_with_all_that_is_known_of_it()
    {
        var said = Written(new InvalidOperationException("Not this", new FormatException("but that")));
        foreach (
            var part in (string[])
                ["Error: Hub: Failed.", "InvalidOperationException: Not this", "FormatException: but that"]
        )
            Assert.Contains(part, said, StringComparison.Ordinal);
    }

    private static string Written(Exception error)
    {
        using var writer = new StringWriter();
        new PlainLog().Write(
            new LogEntry<string>(LogLevel.Error, "Hub", default, "Failed.", error, (state, _) => state),
            null,
            writer
        );
        return writer.ToString();
    }
}
