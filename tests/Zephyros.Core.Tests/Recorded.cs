using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Text.Json.Nodes;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Tests;

/// <summary>What the core says and writes, line by line, as it was read through and found right once. A change on purpose is recorded
/// with <c>make record</c>, and its differences are read before they are committed.</summary>
internal static class Recorded
{
    private static readonly string? Anew = Environment.GetEnvironmentVariable("ZEPHYROS_RECORD");

    /// <summary>Compares with what was recorded.</summary>
    /// <param name="name">The name of the record in Data/recorded.</param>
    /// <param name="lines">What is said now.</param>
    public static void AssertSame(string name, IEnumerable<string> lines) =>
        Compare($"Data/recorded/{name}.txt", System.IO.Path.Combine(Anew ?? "", $"{name}.txt"), lines);

    /// <summary>Compares with a document of the repository.</summary>
    /// <param name="path">Its path from the root.</param>
    /// <param name="lines">What it should say.</param>
    public static void AssertDocument(string path, IEnumerable<string> lines)
    {
        var document = System.IO.Path.Combine(Here(), "../..", path);
        Compare(document, document, lines);
    }

    private static string Here([CallerFilePath] string path = "") => System.IO.Path.GetDirectoryName(path)!;

    private static void Compare(string recorded, string record, IEnumerable<string> lines)
    {
        string[] now = [.. lines.SelectMany(l => l.Split('\n'))];
        if (Anew is not null)
        {
            File.WriteAllLines(record, now);
            return;
        }

        var before = File.ReadAllLines(recorded);
        var place = before.Zip(now).TakeWhile(l => l.First == l.Second).Count();
        var part = now.Take(place + 1).LastOrDefault(l => l.StartsWith('#'));
        Assert.True(
            place == before.Length && place == now.Length,
            $"{recorded}, line {place + 1}, {part}: recorded \"{before.ElementAtOrDefault(place)}\", now \"{now.ElementAtOrDefault(place)}\""
        );
    }

    /// <summary>What an edit is called and exactly what it writes.</summary>
    public static IEnumerable<string> Told(SetupEdit edit) =>
        edit
            .Operations.Select(o => $"    {o.Op} {o.Path} {CanonicalJson.Write(o.Value)}".TrimEnd())
            .Prepend($"  = {edit.Title}");

    /// <summary>Everything that an answer says; numbers to the sixth digit, since the last ones are the machine's own.</summary>
    public static string Told<T>(T answer) =>
        CanonicalJson.Write(Rounded(JsonSerializer.SerializeToNode(answer, SetupJson.Options)));

    /// <summary>The same with its numbers to the sixth digit.</summary>
    public static JsonNode? Rounded(JsonNode? node) =>
        node switch
        {
            JsonObject made => new JsonObject(made.Select(m => KeyValuePair.Create(m.Key, Rounded(m.Value)))),
            JsonArray list => new JsonArray([.. list.Select(Rounded)]),
            JsonValue value when value.GetValueKind() == JsonValueKind.Number => Math.Round(
                value.GetValue<double>(),
                6
            ),
            _ => node?.DeepClone(),
        };
}
