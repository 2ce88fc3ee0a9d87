using Zephyros.Core.Verdicts;

namespace Zephyros.Web.Contracts;

/// <summary>One craft in the hangar.</summary>
/// <param name="Id">The setup's id.</param>
/// <param name="Name">The craft's name.</param>
/// <param name="Summary">What the craft is.</param>
/// <param name="Transmitter">The transmitter's name.</param>
/// <param name="Revision">The revision that it stands at.</param>
/// <param name="SavedAt">When that was saved, in UTC (RFC 3339).</param>
/// <param name="Word">The verdict in a word.</param>
/// <param name="Headline">The verdict in a line.</param>
/// <param name="Running">True while the proof goes on, or waits for its turn.</param>
/// <param name="Lines">What is open, worst first.</param>
/// <param name="StepsDone">How many steps of the work are done.</param>
/// <param name="StepsNeeded">How many this craft needs.</param>
/// <param name="NextStep">What to do next; null when no step is open.</param>
public sealed record SetupSummary(
    string Id,
    string Name,
    string Summary,
    string Transmitter,
    int Revision,
    DateTimeOffset SavedAt,
    VerdictWord Word,
    string Headline,
    bool Running,
    IReadOnlyList<VerdictLine> Lines,
    int StepsDone,
    int StepsNeeded,
    string? NextStep
);
