using System.Text.Json.Nodes;
using System.Text.Json.Serialization;

namespace Zephyros.Core.Setups.Patches;

/// <summary>One operation of a JSON Patch (RFC 6902).</summary>
/// <param name="Op">What it does.</param>
/// <param name="Path">Where, as a JSON Pointer (RFC 6901).</param>
/// <param name="Value">The value to test, add or put; absent for remove.</param>
public sealed record PatchOperation(
    PatchKind Op,
    string Path,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] JsonNode? Value = null
);
