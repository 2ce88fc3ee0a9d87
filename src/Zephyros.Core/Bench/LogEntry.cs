using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>Something that was said or that happened on the bench.</summary>
/// <param name="Number">Counts up from 1 over all entries; the higher number is newer.</param>
/// <param name="At">The virtual time, from when the bench was set up.</param>
/// <param name="Kind">What kind of thing.</param>
/// <param name="Text">What is said, or what happened, in words.</param>
public sealed record LogEntry(long Number, Milliseconds At, LogKind Kind, string Text);
