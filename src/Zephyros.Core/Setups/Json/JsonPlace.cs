using System.Text;
using System.Text.Json;
using Zephyros.Core.Setups.Validation;

namespace Zephyros.Core.Setups.Json;

/// <summary>Turns what the JSON reader says of an error into a place and a reason for people.</summary>
public static class JsonPlace
{
    /// <summary>True for what the JSON reader throws about a document: it calls it "not supported" when one of several kinds of thing does
    /// not say which it is.</summary>
    public static bool IsAbout(Exception error) => error is JsonException or NotSupportedException;

    /// <summary>What is wrong, and where: a JSON Pointer (RFC 6901), the whole document when the reader does not know better.</summary>
    /// <param name="error">What <see cref="IsAbout"/> is true for.</param>
    public static SetupProblem Of(Exception error)
    {
        if (error is JsonException json)
            return new SetupProblem(ToPointer(json.Path ?? "$"), Reason(json));
        var path = error.Message.Split(" Path: ", 2) is [_, var rest] ? rest.Split(" | ", 2)[0].TrimEnd('.') : "$";
        return new SetupProblem(ToPointer(path), "It must have a \"kind\" that says what it is.");
    }

    // The reason in one sentence. The reader appends " Path: ... | LineNumber: ... | BytePositionInLine: ..." to its own messages.
    private static string Reason(JsonException error)
    {
        var message = error.Message.Split(" Path: ", 2)[0].Split(" LineNumber: ", 2)[0].TrimEnd('|', ' ');
        const string Missing = " was missing required properties including: ";
        if (message.Split(Missing, 2) is [_, var names])
            return $"Missing here: {names.TrimEnd('.')}.";
        const string NotOne = " could not be converted to ";
        if (message.Split(NotOne, 2) is [_, var type])
            return WordsOf(type.TrimEnd('.')) is { Length: > 0 } words
                ? $"One of these is wanted here: {string.Join(", ", words)}."
                : "This has another form than what is wanted here.";
        if (message.Contains(" doesn't allow setting null values", StringComparison.Ordinal))
            return "Must not be null.";
        const string Unknown = "unrecognized type discriminator id ";
        var at = message.IndexOf(Unknown, StringComparison.Ordinal);
        return at < 0 ? message : $"There is no kind {message[(at + Unknown.Length)..].TrimEnd('.')} here.";
    }

    // The words of an enumeration of the core, as documents have them; none of another type.
    private static string[] WordsOf(string type) =>
        typeof(JsonPlace).Assembly.GetType(type) is { IsEnum: true } named
            ? [.. Enum.GetNames(named).Select(JsonNamingPolicy.KebabCaseLower.ConvertName)]
            : [];

    /// <summary>The reason of a document that is no JSON at all, with line and byte, both counted from 1.</summary>
    public static string SyntaxReason(JsonException error) =>
        $"Not JSON at line {error.LineNumber + 1 ?? 1}, byte {error.BytePositionInLine + 1 ?? 1}: {Reason(error)}";

    /// <summary>Turns a reader's path such as <c>$.model.channels['a b'].number</c> into <c>/model/channels/a b/number</c>.</summary>
    public static string ToPointer(string path)
    {
        var pointer = new StringBuilder();
        var i = path.StartsWith('$') ? 1 : 0;
        while (i < path.Length)
        {
            var (name, next) = path[i] == '[' ? Bracketed(path, i) : Dotted(path, i);
            pointer
                .Append('/')
                .Append(name.Replace("~", "~0", StringComparison.Ordinal).Replace("/", "~1", StringComparison.Ordinal));
            i = next;
        }

        return pointer.ToString();
    }

    private static (string Name, int Next) Dotted(string path, int dot)
    {
        var end = path.IndexOfAny(['.', '['], dot + 1);
        end = end < 0 ? path.Length : end;
        return (path[(dot + 1)..end], end);
    }

    private static (string Name, int Next) Bracketed(string path, int open)
    {
        var quoted = open + 1 < path.Length && path[open + 1] == '\'';
        var start = open + (quoted ? 2 : 1);
        var end = path.IndexOf(quoted ? "']" : "]", start, StringComparison.Ordinal);
        return end < 0 ? (path[start..], path.Length) : (path[start..end], end + (quoted ? 2 : 1));
    }
}
