using Zephyros.Core.Model.Speech;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>Something that was said or that happened on the bench.</summary>
/// <param name="Number">Counts up from 1 over all entries; the higher number is newer.</param>
/// <param name="At">The virtual time, from when the bench was set up.</param>
/// <param name="Kind">What kind of thing.</param>
/// <param name="Text">What is said, or what happened, in words.</param>
public sealed record LogEntry(long Number, Milliseconds At, LogKind Kind, string Text)
{
    /// <summary>True for an alarm that ended what was just being said.</summary>
    public bool CutsIn { get; init; }

    /// <summary>The tone before what is said; null when there is none.</summary>
    public ToneSweep? Tone { get; init; }
}
