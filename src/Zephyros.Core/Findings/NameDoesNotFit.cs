using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Findings;

/// <summary>Something in the model has no proper name, stray spaces, or a name that the transmitter cannot hold.</summary>
public sealed class NameDoesNotFit : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var model = setup.Model;
        foreach (var (id, own) in model.Channels)
            if (Problem(setup, own.Label, own.Short) is { } problem)
                yield return Of(
                    setup,
                    "channels",
                    id,
                    own.Label,
                    problem,
                    (m, label, brief) =>
                        m with
                        {
                            Channels = m.Channels.SetItem(id, own with { Label = label, Short = brief }),
                        }
                );
        foreach (var (id, own) in model.Conditions)
            if (Problem(setup, own.Label, own.Short) is { } problem)
                yield return Of(
                    setup,
                    "conditions",
                    id,
                    own.Label,
                    problem,
                    (m, label, brief) =>
                        m with
                        {
                            Conditions = m.Conditions.SetItem(id, own with { Label = label, Short = brief }),
                        }
                );
        foreach (var (id, own) in model.States)
            if (Problem(setup, own.Label, own.Short) is { } problem)
                yield return Of(
                    setup,
                    "states",
                    id,
                    own.Label,
                    problem,
                    (m, label, brief) =>
                        m with
                        {
                            States = m.States.SetItem(id, own with { Label = label, Short = brief }),
                        }
                );
    }

    private static string? Problem(Setup setup, string label, string brief) =>
        ShortNames.Problem(label, brief, setup.Transmitter.ShortNames);

    private static Finding Of(
        Setup setup,
        string collection,
        string id,
        string label,
        string problem,
        Func<TransmitterModel, string, string, TransmitterModel> rename
    )
    {
        var what = collection[..^1];
        var fitting = label.Trim() is { Length: > 0 } trimmed ? trimmed : id;
        var brief = ShortNames.For(fitting, setup.Transmitter.ShortNames);
        return new Finding
        {
            Key = $"name-does-not-fit:{what}:{id}",
            Severity = Severity.Caution,
            Station = Station.Model,
            Place = $"/model/{collection}/{id}/label",
            Title = $"The name of {what} “{fitting}” does not fit",
            What = $"It {problem}.",
            Why =
                "What is typed into the transmitter would be cut off or look like another name, and the sheet would no longer match it.",
            Provenance = "Common practice, no source (job.md 1): a short form that fits and no stray leading spaces.",
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "fit",
                    brief.Length > 0 ? $"Short form “{brief}”." : $"“{fitting}”.",
                    Edits.InModel(setup, $"A name that fits for {fitting}", m => rename(m, fitting, brief))
                ),
            ],
        };
    }
}
