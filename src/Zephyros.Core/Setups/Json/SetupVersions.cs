using System.Text.Json.Nodes;

namespace Zephyros.Core.Setups.Json;

/// <summary>Brings a document of an older version up to the current one. Its steps stay for ever: what was written once can be read.</summary>
/// <param name="steps">The step at place n leads from version n + 1 to the next.</param>
internal sealed class SetupVersions(IReadOnlyList<Action<JsonObject>> steps)
{
    /// <summary>Those of setups. There has been one version so far.</summary>
    public static SetupVersions All { get; } = new([]);

    /// <summary>The newest version that there is.</summary>
    public int Newest => steps.Count + 1;

    /// <summary>A document as the newest version has it.</summary>
    /// <param name="utf8">A JSON object.</param>
    /// <param name="version">Its version, 1 to <see cref="Newest"/>.</param>
    public ReadOnlyMemory<byte> Upgraded(ReadOnlyMemory<byte> utf8, int version)
    {
        if (version == Newest)
            return utf8;
        var document = JsonNode.Parse(utf8.Span)!.AsObject();
        foreach (var step in steps.Skip(version - 1))
            step(document);
        document["version"] = Newest;
        return System.Text.Encoding.UTF8.GetBytes(document.ToJsonString());
    }
}
