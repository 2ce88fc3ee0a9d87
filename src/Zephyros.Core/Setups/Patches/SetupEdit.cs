using Zephyros.Core.Setups.Json;

namespace Zephyros.Core.Setups.Patches;

/// <summary>One change of a setup that can be shown, sent, applied and undone.</summary>
/// <param name="Title">What it does, as it stands in the history: "Send A E T R".</param>
/// <param name="Operations">The change as a JSON Patch (RFC 6902) with tests.</param>
public sealed record SetupEdit(string Title, IReadOnlyList<PatchOperation> Operations)
{
    /// <summary>The edit that turns one setup into another.</summary>
    public static SetupEdit Between(string title, Setup before, Setup after) =>
        new(title, JsonPatch.Between(SetupJson.ToNode(before), SetupJson.ToNode(after)));

    /// <summary>Applies the edit.</summary>
    /// <returns>The new setup, or what is wrong with the result; <paramref name="setup"/> stays as it is.</returns>
    /// <exception cref="PatchException">The edit does not apply to this setup.</exception>
    public SetupReading ApplyTo(Setup setup) => SetupJson.Read(JsonPatch.Apply(SetupJson.ToNode(setup), Operations));
}
