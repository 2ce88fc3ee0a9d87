using System.Collections;
using System.Collections.Concurrent;
using System.ComponentModel.DataAnnotations;
using System.Globalization;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.RegularExpressions;
using Zephyros.Core.Units;

namespace Zephyros.Core.Setups.Validation;

/// <summary>Checks the ranges, lengths and patterns that the members of a record carry as attributes, and that no list or collection
/// holds a null. The published schema is made of the same attributes, so the two cannot part.</summary>
public static partial class AnnotationCheck
{
    // Reflection is slow, and the same few types are walked for every setup.
    private static readonly ConcurrentDictionary<Type, Member[]> Known = new();

    /// <summary>Walks a record and what it holds, and adds what is out of range to <paramref name="problems"/>.</summary>
    public static void Walk(object record, string place, ICollection<SetupProblem> problems)
    {
        foreach (var member in Known.GetOrAdd(record.GetType(), Members))
        {
            var value = member.Of(record);
            var at = $"{place}/{member.Name}";
            if (value is IDictionary collection)
                WalkCollection(member, collection, at, problems);
            else if (value is IList list)
                WalkList(member, list, at, problems);
            else
                CheckValue(member, value, at, problems);
            if (value is IEnumerable)
                continue;
            if (value is not null && IsRecord(value.GetType()))
                Walk(value, at, problems);
        }
    }

    private static Member[] Members(Type type) =>
        [
            .. type.GetProperties(BindingFlags.Public | BindingFlags.Instance)
                .Where(m =>
                    !m.IsDefined(typeof(JsonIgnoreAttribute)) && m.GetIndexParameters().Length == 0 && m.CanWrite
                )
                .Select(m => new Member(
                    JsonNamingPolicy.CamelCase.ConvertName(m.Name),
                    m.GetValue,
                    [.. m.GetCustomAttributes<ValidationAttribute>()]
                )),
        ];

    /// <summary>A member of a record.</summary>
    /// <param name="Name">Its name in a document.</param>
    /// <param name="Of">Its value in a record.</param>
    /// <param name="Rules">What its value, or each of its values, must keep.</param>
    private sealed record Member(string Name, Func<object?, object?> Of, ValidationAttribute[] Rules);

    // The rules of a member that holds several values are rules for each of them.
    private static void WalkList(Member member, IList list, string place, ICollection<SetupProblem> problems)
    {
        for (var i = 0; i < list.Count; i++)
            WalkItem(member, list[i], $"{place}/{i}", problems);
    }

    private static void WalkItem(Member member, object? item, string place, ICollection<SetupProblem> problems)
    {
        if (item is null)
            problems.Add(new(place, "Must not be null."));
        else if (item is IDictionary inner)
            WalkCollection(member, inner, place, problems);
        else if (IsRecord(item.GetType()))
            Walk(item, place, problems);
        else
            CheckValue(member, item, place, problems);
    }

    private static void WalkCollection(
        Member member,
        IDictionary collection,
        string place,
        ICollection<SetupProblem> problems
    )
    {
        foreach (DictionaryEntry entry in collection)
        {
            var id = InDocument(entry.Key);
            if (!Id().IsMatch(id))
                problems.Add(
                    new(place, $"\"{id}\" is no id: ids have 1 to 80 small letters, digits, hyphens or colons.")
                );
            else
                WalkItem(member, entry.Value, $"{place}/{id}", problems);
        }
    }

    private static string InDocument(object key) =>
        key switch
        {
            string id => id,
            ChannelNumber number => number.Value.ToString(CultureInfo.InvariantCulture),
            Enum word => JsonNamingPolicy.KebabCaseLower.ConvertName(word.ToString()),
            _ => throw new NotSupportedException($"No document has keys of {key.GetType()}."),
        };

    private static void CheckValue(Member member, object? value, string place, ICollection<SetupProblem> problems)
    {
        if (value is null)
            return;
        foreach (var rule in member.Rules)
        {
            var reason = rule switch
            {
                RangeAttribute range when !IsWithin(range, Bare(value)) =>
                    $"Must be {range.Minimum} to {range.Maximum}{Unit(value)}, not {Bare(value)}.",
                StringLengthAttribute length when !length.IsValid(value) =>
                    $"Must have {length.MinimumLength} to {length.MaximumLength} characters, not {((string)value).Length}.",
                RegularExpressionAttribute pattern when value is string text && !Fits(pattern.Pattern, text) =>
                    $"\"{text}\" does not fit the pattern {pattern.Pattern}.",
                _ => null,
            };
            if (reason is not null)
                problems.Add(new(place, reason));
        }

        if (value is string words && words.Any(char.IsControl))
            problems.Add(new(place, "Control characters are not allowed."));
    }

    // The attribute's own check has a time limit, which a busy machine can meet; without backtracking none is needed.
    private static bool Fits(string pattern, string text) =>
        Regex.Match(text, pattern, RegexOptions.NonBacktracking) is { Success: true } match
        && match.Length == text.Length;

    // The attribute's own check would convert the value to the type of its limits, and a huge one has no place there.
    private static bool IsWithin(RangeAttribute range, double value) =>
        value >= Convert.ToDouble(range.Minimum, CultureInfo.InvariantCulture)
        && value <= Convert.ToDouble(range.Maximum, CultureInfo.InvariantCulture);

    // JSON has one kind of number; the attributes know int and double.
    private static double Bare(object value) =>
        value is int whole ? whole
        : value is double number ? number
        : (double)
            value
                .GetType()
                .GetInterfaces()
                .First(i => i.IsGenericType && i.GetGenericTypeDefinition() == typeof(IQuantity<>))
                .GetProperty(nameof(IQuantity<Percent>.Value))!
                .GetValue(value)!;

    private static string Unit(object value) =>
        value switch
        {
            Percent => " %",
            Microseconds => " µs",
            Milliseconds => " ms",
            Hertz => " Hz",
            DegreesPerSecond => " °/s",
            PercentPerSecond => " %/s",
            _ => "",
        };

    private static bool IsRecord(Type type) =>
        type.IsClass && type.Namespace!.StartsWith("Zephyros.", StringComparison.Ordinal);

    [GeneratedRegex("^[a-z0-9][a-z0-9:-]{0,79}$", RegexOptions.CultureInvariant | RegexOptions.NonBacktracking)]
    private static partial Regex Id();
}
