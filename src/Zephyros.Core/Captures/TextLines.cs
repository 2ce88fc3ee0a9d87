using System.Text;

namespace Zephyros.Core.Captures;

/// <summary>Reads a file line by line, within limits.</summary>
internal sealed class TextLines(Stream stream, CancellationToken cancel)
{
    private readonly byte[] buffer = new byte[64 * 1024];
    private readonly StringBuilder line = new();
    private int filled;
    private int at;
    private long read;

    /// <summary>More than may be read.</summary>
    public static CaptureProblem TooLarge { get; } = new(0, $"A recording may have {CaptureLimits.Bytes >> 20} MB.");

    /// <summary>The number of the line that was read last, counted from 1.</summary>
    public int Number { get; private set; }

    /// <summary>What is wrong with the file as text; null while nothing is.</summary>
    public string? Problem { get; private set; }

    /// <summary>Reads the next line; null at the end, or when something is wrong.</summary>
    public string? Next()
    {
        line.Clear();
        while (true)
        {
            if (at == filled)
            {
                cancel.ThrowIfCancellationRequested();
                filled = stream.Read(buffer);
                at = 0;
                read += filled;
                if (read > CaptureLimits.Bytes)
                {
                    Problem = TooLarge.Reason;
                    return null;
                }

                if (filled == 0)
                    return line.Length == 0 ? null : Done();
            }

            var value = buffer[at++];
            if (value == '\n')
                return Done();
            if (value == 0)
            {
                Number++;
                Problem = "This is no text.";
                return null;
            }

            if (value != '\r')
                line.Append((char)value);
            if (line.Length > CaptureLimits.LineLength)
            {
                Number++;
                Problem = $"A line has more than {CaptureLimits.LineLength} characters.";
                return null;
            }
        }
    }

    private string Done()
    {
        Number++;
        return line.ToString();
    }
}
