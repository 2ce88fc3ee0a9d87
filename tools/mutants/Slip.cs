using Microsoft.CodeAnalysis.Text;

namespace Zephyros.Mutants;

/// <summary>A small wrong change of the code that a tired hand could make.</summary>
/// <param name="Number">Turns it on, 1 and up.</param>
/// <param name="Room">The room of the code that it is in: the folder of the core, or the assembly.</param>
/// <param name="File">The file, from the root of the repository.</param>
/// <param name="Line">The line, from 1.</param>
/// <param name="Span">What it replaces.</param>
/// <param name="Was">The code as it is.</param>
/// <param name="Becomes">The code as it would be.</param>
/// <param name="Kind">An expression or a whole statement.</param>
internal sealed record Slip(
    int Number,
    string Room,
    string File,
    int Line,
    TextSpan Span,
    string Was,
    string Becomes,
    SlipKind Kind
)
{
    /// <summary>One line for a person.</summary>
    public override string ToString() => $"{File}:{Line}  {Short(Was)}  ->  {Short(Becomes)}";

    private static string Short(string code)
    {
        var line = string.Join(' ', code.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));
        return line.Length > 90 ? line[..87] + "..." : line;
    }
}
