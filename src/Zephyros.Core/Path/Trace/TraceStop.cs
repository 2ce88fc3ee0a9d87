using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Trace;

/// <summary>What a followed value is at one station.</summary>
/// <param name="Station">The station.</param>
/// <param name="Figure">The value as it is read: "1704.8", "roll".</param>
/// <param name="Unit">Its unit; empty for a word.</param>
/// <param name="Note">Where it comes from, in a few words.</param>
/// <param name="Mark">How it fares here.</param>
/// <param name="Working">The sums that lead to it, line by line.</param>
public sealed record TraceStop(
    Station Station,
    string Figure,
    string Unit,
    string Note,
    TraceMark Mark,
    IReadOnlyList<string> Working
);
