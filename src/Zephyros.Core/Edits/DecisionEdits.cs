using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Edits;

/// <summary>What the pilot has decided about findings and promises. Each edit is a pure function of the setup.</summary>
public static class DecisionEdits
{
    /// <summary>Switches a promise on or off, or keeps it broken for a reason.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="code">The promise's code.</param>
    /// <param name="title">The promise in a few words, for the history.</param>
    /// <param name="setting">What is decided; null takes every decision back.</param>
    public static SetupEdit DecidePromise(Setup setup, string code, string title, PromiseSetting? setting) =>
        SetupEdit.Between(
            setting switch
            {
                null => $"Promise as usual: {title}",
                { On: false } => $"Promise off: {title}",
                _ => $"Promise kept broken: {title}",
            },
            setup,
            setup with
            {
                Promises = setting is null ? setup.Promises.Remove(code) : setup.Promises.SetItem(code, setting),
            }
        );

    /// <summary>Keeps a finding on purpose, with the reason; an empty note takes the justification back.</summary>
    public static SetupEdit Justify(Setup setup, string findingKey, string note)
    {
        var justified =
            note.Length > 0
                ? setup.Justified.SetItem(findingKey, new Justification { Note = note })
                : setup.Justified.Remove(findingKey);
        return SetupEdit.Between(
            note.Length > 0 ? "Keep a finding on purpose" : "Take a justification back",
            setup,
            setup with
            {
                Justified = justified,
            }
        );
    }
}
