using System.Buffers;

namespace Zephyros.Core.Flights.Table;

/// <summary>Hands a reader of tables the sound lines of a text, and an empty line for each of the others, so that lines keep their
/// numbers.</summary>
/// <remarks>No cell of a flight goes over several lines, so a line with a quote that is not closed, or stands inside a cell, is damaged: it
/// would swallow the rest of the file.</remarks>
internal sealed class SoundLines(TextReader text, char delimiter, Action<FlightDamage> damaged) : TextReader
{
    private static readonly SearchValues<char> Ends = SearchValues.Create('\r', '\n');

    private readonly char[] block = new char[64 * 1024];
    private readonly char[] line = new char[FlightLimits.LineLength + 1];
    private int at;
    private int filled;
    private int length;
    private int given;
    private int number;
    private bool afterReturn;

    public override int Read(char[] buffer, int index, int count)
    {
        var read = 0;
        while (read < count && (given < length || Next()))
        {
            var part = Math.Min(count - read, length - given);
            Array.Copy(line, given, buffer, index + read, part);
            (given, read) = (given + part, read + part);
        }

        return read;
    }

    public override int Read() => given < length || Next() ? line[given++] : -1;

    public override int Peek() => given < length || Next() ? line[given] : -1;

    // Takes the next line with its end; false at the end of the text.
    private bool Next()
    {
        (length, given) = (0, 0);
        var tooLong = false;
        while (true)
        {
            if (at == filled)
            {
                filled = text.ReadBlock(block);
                at = 0;
                if (filled == 0)
                    return length > 0 && Done(tooLong);
            }

            if (afterReturn && block[at] == '\n')
                at++;
            afterReturn = false;
            var rest = block.AsSpan(at, filled - at);
            var end = rest.IndexOfAny(Ends);
            var part = end < 0 ? rest : rest[..end];
            if (length + part.Length >= line.Length - 1)
                tooLong = true;
            else
                part.CopyTo(line.AsSpan(length));
            length = tooLong ? 1 : length + part.Length;
            at += part.Length;
            if (end < 0)
                continue;
            afterReturn = block[at++] == '\r';
            return Done(tooLong);
        }
    }

    private bool Done(bool tooLong)
    {
        number++;
        var own = line.AsSpan(0, length);
        var wrong =
            tooLong ? $"The line has more than {FlightLimits.LineLength} characters: left out."
            : own is ['#', ..] ? null
            : own.Contains('\0') ? "This is no text: the row is left out."
            : !IsQuoted(own) ? "A quote stands in a cell, or is not closed: the row is left out."
            : null;
        if (wrong is not null)
        {
            damaged(new FlightDamage(number, wrong));
            length = 0;
        }

        line[length++] = '\n';
        return true;
    }

    // RFC 4180: a quote opens a cell and closes it; inside, two of them are one.
    private bool IsQuoted(ReadOnlySpan<char> cells)
    {
        while (cells.Contains('"'))
        {
            var cell = cells.IndexOf(delimiter) is >= 0 and var end ? cells[..end] : cells;
            if (cell.TrimStart() is not ['"', ..])
            {
                if (cell.Contains('"'))
                    return false;
                cells = cells[(cell.Length + 1)..];
                continue;
            }

            cells = cells[(cells.IndexOf('"') + 1)..];
            while (cells.IndexOf('"') is >= 0 and var quote && quote + 1 < cells.Length && cells[quote + 1] == '"')
                cells = cells[(quote + 2)..];
            if (cells.IndexOf('"') is not (>= 0 and var closes))
                return false;
            cells = cells[(closes + 1)..].TrimStart(' ');
            if (cells.IsEmpty)
                return true;
            if (cells[0] != delimiter)
                return false;
            cells = cells[1..];
        }

        return true;
    }
}
