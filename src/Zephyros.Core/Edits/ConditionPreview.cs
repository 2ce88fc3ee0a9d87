using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;

namespace Zephyros.Core.Edits;

/// <summary>What a condition would say and become, looked at before it is saved.</summary>
/// <param name="Sentence">The condition as a sentence; empty while something in it is wrong.</param>
/// <param name="Caution">What is odd about it: it never or always holds, or asks for itself; null when nothing is.</param>
/// <param name="Problems">What is wrong with it, with places relative to the condition; empty when it can be saved.</param>
public sealed record ConditionPreview(string Sentence, string? Caution, IReadOnlyList<SetupProblem> Problems)
{
    /// <summary>Looks at a condition as if it stood in a setup.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="id">The id of the condition that it replaces; null for a new one.</param>
    /// <param name="condition">The condition.</param>
    public static ConditionPreview Of(Setup setup, string? id, Condition condition)
    {
        // An id for a new one that nothing has: longer than all of them.
        var at = id ?? string.Concat(setup.Model.Conditions.Keys.Append("x").MaxBy(k => k.Length), "x");
        var model = setup.Model with { Conditions = setup.Model.Conditions.SetItem(at, condition) };
        var place = $"/model/conditions/{at}";
        var problems = SetupValidator.Check(setup with { Model = model });
        SetupProblem[] own =
        [
            .. problems
                .Where(p => p.Place == place || p.Place.StartsWith(place + "/", StringComparison.Ordinal))
                .Select(p => p with { Place = p.Place[place.Length..] }),
        ];
        if (own.Length > 0)
            return new ConditionPreview("", null, own);
        // With something wrong elsewhere, such as its id, nothing can be said of it.
        if (problems.Count > 0)
            return new ConditionPreview("", null, [.. problems.Select(p => p with { Place = "" })]);
        var graph = ModelGraph.Of(model);
        var sentence = new ModelWords(setup.Transmitter, model).Of(condition.Test);
        var isInRing = graph.Cycles.Any(ring => ring.Contains(new ModelNode(NodeKind.Condition, at)));
        var caution = isInRing
            ? "It asks for itself, through others or directly."
            : new ConditionReach(setup.Transmitter, model, graph).Of(at) switch
            {
                { CanHold: false } => "It can never hold.",
                { CanFail: false } => "It always holds.",
                _ => null,
            };
        return new ConditionPreview(sentence, caution, []);
    }
}
