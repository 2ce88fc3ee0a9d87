using Zephyros.Core.Model;

namespace Zephyros.Web.Contracts;

/// <summary>A condition in words.</summary>
/// <param name="Sentence">What it asks, as one plain sentence.</param>
/// <param name="UsedBy">What uses it, in words.</param>
public sealed record ConditionView(string Sentence, IReadOnlyList<string> UsedBy)
{
    /// <summary>The views of all conditions of a model, by id.</summary>
    public static IReadOnlyDictionary<string, ConditionView> Of(TransmitterModel model, ModelWords words)
    {
        var users = ModelReferences
            .Of(model)
            .Where(r => r.Kind == ReferenceKind.Condition)
            .ToLookup(r => r.Id, r => ModelWords.Owner(model, r.Owner), StringComparer.Ordinal);
        return model.Conditions.ToDictionary(
            c => c.Key,
            c => new ConditionView(words.Of(c.Value.Test), [.. users[c.Key].Distinct(StringComparer.Ordinal)]),
            StringComparer.Ordinal
        );
    }
}
