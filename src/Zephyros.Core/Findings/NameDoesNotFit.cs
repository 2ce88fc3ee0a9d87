using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Something has no proper name, stray spaces, or a name that the transmitter cannot hold.</summary>
public sealed class NameDoesNotFit : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("name-does-not-fit", "{0} names do not fit", "Give all {0} a name that fits");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        foreach (var named in Names(setup))
        {
            // Names that the transmitter does not store need no short form.
            var limit = named.IsStored ? setup.Transmitter.ShortNames : 0;
            if (ShortNames.Problem(named.Label, named.Brief, limit) is { } problem)
                yield return Of(setup, named, problem, limit);
        }
    }

    private static IEnumerable<Named> Names(Setup setup)
    {
        var model = setup.Model;
        Setup In(TransmitterModel changed) => setup with { Model = changed };
        foreach (var (id, own) in model.Channels)
            yield return new("channel", $"/model/channels/{id}", id, own.Label, own.Short)
            {
                Rename = (label, brief) =>
                    In(model with { Channels = model.Channels.SetItem(id, own with { Label = label, Short = brief }) }),
            };
        foreach (var (id, own) in model.Conditions)
            yield return new("condition", $"/model/conditions/{id}", id, own.Label, own.Short)
            {
                Rename = (label, brief) =>
                    In(
                        model with
                        {
                            Conditions = model.Conditions.SetItem(id, own with { Label = label, Short = brief }),
                        }
                    ),
            };
        foreach (var (id, own) in model.States)
            yield return new("state", $"/model/states/{id}", id, own.Label, own.Short)
            {
                Rename = (label, brief) =>
                    In(model with { States = model.States.SetItem(id, own with { Label = label, Short = brief }) }),
            };
        foreach (var (id, own) in model.Overrides)
            yield return new("override", $"/model/overrides/{id}", id, own.Label, "")
            {
                IsStored = false,
                Rename = (label, _) =>
                    In(model with { Overrides = model.Overrides.SetItem(id, own with { Label = label }) }),
            };
        foreach (var (id, own) in setup.Transmitter.Controls)
            yield return new("control", $"/transmitter/controls/{id}", id, own.Name, own.Short)
            {
                // What the maker printed beside a control is not stored; a name of the pilot's own is.
                IsStored = own.Short.Length > 0 || own.Alias.Length > 0,
                Rename = (name, brief) =>
                    setup with
                    {
                        Transmitter = setup.Transmitter with
                        {
                            Controls = setup.Transmitter.Controls.SetItem(
                                id,
                                own.Alias.Length > 0
                                    ? own with
                                    {
                                        Alias = name,
                                        Short = brief,
                                    }
                                    : own with
                                    {
                                        Label = name,
                                        Short = brief,
                                    }
                            ),
                        },
                    },
            };
    }

    private static Finding Of(Setup setup, Named named, string problem, int limit)
    {
        var fitting = ShortNames.Clean(named.Label) is { Length: > 0 } clean ? clean : named.Id;
        var brief = ShortNames.For(fitting, limit);
        return new Finding
        {
            Key = $"name-does-not-fit:{named.What}:{named.Id}",
            Severity = Severity.Caution,
            Station = named.What == "control" ? Station.Hands : Station.Model,
            Place = named.Place,
            Title = $"The name of {named.What} “{fitting}” does not fit",
            What = $"It {problem}.",
            Why =
                "What is typed into the transmitter would be cut off or look like another name, and the sheet would no longer match it.",
            Provenance = Provenance.Practice("a short form that fits and no stray leading spaces"),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "fit",
                    brief.Length > 0 ? $"Short form “{brief}”." : $"“{fitting}”.",
                    SetupEdit.Between($"A name that fits for {fitting}", setup, named.Rename(fitting, brief))
                ),
            ],
        };
    }

    // Something with a name, and how to give it another one with a short form.
    private sealed record Named(string What, string Place, string Id, string Label, string Brief)
    {
        public bool IsStored { get; init; } = true;

        public required Func<string, string, Setup> Rename { get; init; }
    }
}
