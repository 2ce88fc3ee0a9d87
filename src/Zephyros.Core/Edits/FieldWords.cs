using System.Collections;
using System.Globalization;
using System.Reflection;
using System.Text.Json;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Edits;

/// <summary>Puts places of a setup document into words: "Board, Arm, high" instead of a pointer.</summary>
public static class FieldWords
{
    private static readonly Dictionary<string, string> Rooms = new(StringComparer.Ordinal)
    {
        ["air"] = "Link",
        ["justified"] = "Kept findings",
    };

    /// <summary>The words for a place, and the unit of the quantity that stands there.</summary>
    /// <param name="pointer">A JSON Pointer into a setup (RFC 6901).</param>
    /// <param name="setups">Where things of that id are looked up for their names, the first that has one counts.</param>
    /// <returns>The words; the last part of the pointer as it is where the document has no such member. The unit is empty when there is none.</returns>
    public static (string Words, string Unit) Of(string pointer, params ReadOnlySpan<Setup> setups)
    {
        var parts = pointer.Split('/')[1..];
        var type = typeof(Setup);
        var found = setups.ToArray().Cast<object?>().ToArray();
        var words = new List<string>();
        foreach (
            var part in parts.Select(p =>
                p.Replace("~1", "/", StringComparison.Ordinal).Replace("~0", "~", StringComparison.Ordinal)
            )
        )
        {
            var (next, name) = Step(type, part, found);
            if (name.Length > 0)
                words.Add(words.Count == 0 ? Rooms.GetValueOrDefault(part, Capital(name)) : name);
            type = next;
        }

        return (string.Join(", ", words), Unit(type));
    }

    // One step down: what stands there, by its type where nothing does, and what it is called.
    private static (Type Type, string Name) Step(Type type, string part, object?[] found)
    {
        if (Values(type) is { } values)
        {
            for (var i = 0; i < found.Length; i++)
                found[i] = found[i] is IDictionary dictionary ? InDictionary(dictionary, part) : null;
            return (values, Array.Find(found, f => f is not null) is { } thing ? Called(thing) ?? part : part);
        }

        if (type != typeof(string) && type.IsAssignableTo(typeof(IEnumerable)))
            return (
                typeof(object),
                int.TryParse(part, CultureInfo.InvariantCulture, out var index) ? $"no. {index + 1}" : part
            );
        // What it really is has members that its kind has not.
        var kind = Array.Find(found, f => f is not null)?.GetType() ?? type;
        var member = kind.GetProperties().FirstOrDefault(p => JsonNamingPolicy.CamelCase.ConvertName(p.Name) == part);
        for (var i = 0; i < found.Length; i++)
            found[i] =
                member is not null && member.DeclaringType!.IsInstanceOfType(found[i])
                    ? member.GetValue(found[i])
                    : null;
        if (member is null)
            return (typeof(object), part);
        // A collection needs no name of its own: the thing in it has one.
        return (
            Nullable.GetUnderlyingType(member.PropertyType) ?? member.PropertyType,
            SetupCollections.Names.Contains(part)
                ? ""
                : JsonNamingPolicy.KebabCaseLower.ConvertName(member.Name).Replace('-', ' ')
        );
    }

    private static object? InDictionary(IDictionary dictionary, string part) =>
        dictionary.Keys.Cast<object>().FirstOrDefault(k => WordOf(k) == part) is { } key ? dictionary[key] : null;

    private static string WordOf(object key) =>
        key is Enum ? JsonNamingPolicy.KebabCaseLower.ConvertName(key.ToString()!)
        : key is ChannelNumber number ? number.Value.ToString(CultureInfo.InvariantCulture)
        : key.ToString()!;

    // What a thing is called by its pilot.
    private static string? Called(object thing) =>
        ((string[])["Alias", "Label", "Says", "Name"])
            .Select(member => thing.GetType().GetProperty(member))
            .Where(p => p?.PropertyType == typeof(string))
            .Select(p => (string)p!.GetValue(thing)!)
            .FirstOrDefault(name => name.Length > 0);

    private static Type? Values(Type type) =>
        type.GetInterfaces()
            .FirstOrDefault(i => i.IsGenericType && i.GetGenericTypeDefinition() == typeof(IReadOnlyDictionary<,>))
            ?.GetGenericArguments()[1];

    private static string Unit(Type type) =>
        type.GetInterfaces().Any(i => i.IsGenericType && i.GetGenericTypeDefinition() == typeof(IQuantity<>))
            ? (string?)type.GetProperty("Symbol", BindingFlags.Public | BindingFlags.Static)?.GetValue(null) ?? ""
            : "";

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
