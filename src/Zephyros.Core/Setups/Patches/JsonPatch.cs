using System.Text.Json.Nodes;

namespace Zephyros.Core.Setups.Patches;

/// <summary>Applies and makes JSON Patches (RFC 6902) on objects. Setups are keyed by id and hold no arrays, so a path through an
/// array leads nowhere.</summary>
public static class JsonPatch
{
    /// <summary>Applies operations in order to a copy of a document.</summary>
    /// <param name="document">The document; it stays as it is.</param>
    /// <param name="operations">The operations.</param>
    /// <exception cref="PatchException">An operation does not apply; the message names it, and nothing has changed.</exception>
    public static JsonObject Apply(JsonObject document, IReadOnlyList<PatchOperation> operations)
    {
        var target = document.DeepClone().AsObject();
        foreach (var operation in operations)
            ApplyOne(target, operation);
        return target;
    }

    /// <summary>The patch that turns one document into another. Every value that it changes is tested first, so that it applies
    /// only to what it was made for.</summary>
    public static IReadOnlyList<PatchOperation> Between(JsonObject before, JsonObject after)
    {
        var tests = new List<PatchOperation>();
        var changes = new List<PatchOperation>();
        Compare(before, after, "", tests, changes);
        return [.. tests, .. changes];
    }

    private static void Compare(
        JsonObject before,
        JsonObject after,
        string place,
        List<PatchOperation> tests,
        List<PatchOperation> changes
    )
    {
        foreach (
            var name in before
                .Select(m => m.Key)
                .Union(after.Select(m => m.Key), StringComparer.Ordinal)
                .Order(StringComparer.Ordinal)
        )
        {
            var path = $"{place}/{Escape(name)}";
            var (had, has) = (before.ContainsKey(name), after.ContainsKey(name));
            var (old, fresh) = (before[name], after[name]);
            if (had && has && JsonNode.DeepEquals(old, fresh))
                continue;
            if (had && has && old is JsonObject oldObject && fresh is JsonObject freshObject)
            {
                Compare(oldObject, freshObject, path, tests, changes);
                continue;
            }

            if (had)
                tests.Add(new PatchOperation(PatchKind.Test, path, old?.DeepClone()));
            changes.Add(
                has
                    ? new PatchOperation(had ? PatchKind.Replace : PatchKind.Add, path, fresh?.DeepClone())
                    : new PatchOperation(PatchKind.Remove, path)
            );
        }
    }

    private static void ApplyOne(JsonObject root, PatchOperation operation)
    {
        var (parent, name) = Locate(root, operation);
        var exists = parent.ContainsKey(name);
        if (!exists && operation.Op != PatchKind.Add)
            throw new PatchException(operation.Path, "There is nothing at this place.", operation.Op == PatchKind.Test);
        switch (operation.Op)
        {
            case PatchKind.Test when !JsonNode.DeepEquals(parent[name], operation.Value):
                throw new PatchException(
                    operation.Path,
                    $"The edit was made for {Shown(operation.Value)}, but there is {Shown(parent[name])} now.",
                    isTest: true
                );
            case PatchKind.Add or PatchKind.Replace:
                parent[name] = operation.Value?.DeepClone();
                break;
            case PatchKind.Remove:
                parent.Remove(name);
                break;
        }
    }

    private static (JsonObject Parent, string Name) Locate(JsonObject root, PatchOperation operation)
    {
        if (operation.Path.Length == 0 || operation.Path[0] != '/')
            throw new PatchException(operation.Path, "A path starts with a slash and names a member.");
        var names = operation.Path[1..].Split('/').Select(Unescape).ToArray();
        var parent = root;
        foreach (var name in names[..^1])
        {
            parent =
                parent[name] as JsonObject
                ?? throw new PatchException(
                    operation.Path,
                    $"\"{name}\" on the way holds no members.",
                    operation.Op == PatchKind.Test
                );
        }

        return (parent, names[^1]);
    }

    private static string Shown(JsonNode? node)
    {
        var text = node?.ToJsonString() ?? "null";
        return text.Length <= 60 ? text : text[..57] + "...";
    }

    private static string Escape(string name) =>
        name.Replace("~", "~0", StringComparison.Ordinal).Replace("/", "~1", StringComparison.Ordinal);

    private static string Unescape(string name) =>
        name.Replace("~1", "/", StringComparison.Ordinal).Replace("~0", "~", StringComparison.Ordinal);
}
