using System.Globalization;
using System.Text;

namespace Zephyros.Core.Captures;

/// <summary>What tables of all kinds have in common: how their cells are parted, and how numbers are written in them.</summary>
internal static class TableCells
{
    /// <summary>The beginning of a file that is looked at, in characters.</summary>
    public const int HeadLength = 4096;

    /// <summary>Some analysers begin their own remarks with it.</summary>
    public const char Remark = ';';

    private const int ShownLength = 40;

    /// <summary>What parts the cells of a table: a semicolon or a tab where most of its first lines have one; a comma then is a decimal
    /// comma.</summary>
    /// <param name="stream">The file, which is left at its start.</param>
    public static char Delimiter(Stream stream)
    {
        using var reader = Text(stream);
        var head = new char[HeadLength];
        var text = new string(head, 0, reader.ReadBlock(head));
        stream.Position = 0;
        var lines = text.Split('\r', '\n').Where(l => l.Trim() is [not ('#' or Remark), ..]).ToArray();
        bool Most(char mark) => 2 * lines.Count(l => l.Contains(mark, StringComparison.Ordinal)) > lines.Length;
        return Most(';') ? ';'
            : Most('\t') ? '\t'
            : ',';
    }

    /// <summary>The text of a file, whose stream stays open.</summary>
    public static StreamReader Text(Stream stream) =>
        new(stream, Encoding.UTF8, detectEncodingFromByteOrderMarks: true, leaveOpen: true);

    /// <summary>Reads a number. A comma is a decimal comma here: where it parts cells it does not come this far.</summary>
    public static bool TryNumber(string text, out double number) =>
        (Parse(text, out number) || Parse(text.Replace(',', '.'), out number)) && double.IsFinite(number);

    private static bool Parse(string text, out double number) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out number);

    /// <summary>The words of a heading.</summary>
    public static string[] Words(string heading) =>
        heading.Split([' ', '(', ')', '[', ']', '/', '_', ',', '.', ':', '-'], StringSplitOptions.RemoveEmptyEntries);

    /// <summary>A cell as it can be shown.</summary>
    public static string Shown(string text) => text.Length <= ShownLength ? text : text[..ShownLength] + "…";
}
