namespace Zephyros.Web.Contracts;

/// <summary>One craft in the hangar.</summary>
/// <param name="Id">The setup's id.</param>
/// <param name="Name">The craft's name.</param>
/// <param name="Summary">What the craft is.</param>
/// <param name="Transmitter">The transmitter's name.</param>
/// <param name="Revision">The revision that it stands at.</param>
/// <param name="SavedAt">When that was saved, in UTC (RFC 3339).</param>
/// <param name="Findings">What is wrong and not justified, worst first.</param>
public sealed record SetupSummary(
    string Id,
    string Name,
    string Summary,
    string Transmitter,
    int Revision,
    DateTimeOffset SavedAt,
    IReadOnlyList<OpenFinding> Findings
);
