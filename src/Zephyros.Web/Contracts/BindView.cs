using Zephyros.Core.Evidence;
using Zephyros.Core.Setups;
using Zephyros.Storage;

namespace Zephyros.Web.Contracts;

/// <summary>A bind that was recorded, and whether it still stands.</summary>
/// <param name="Id">Its number.</param>
/// <param name="TakenAt">When it was recorded.</param>
/// <param name="Record">What was done and seen.</param>
/// <param name="AsExpected">True when every step went as the guide says.</param>
/// <param name="Changed">The parts of the setup that are another now, in words; none while the record stands.</param>
public sealed record BindView(
    long Id,
    DateTimeOffset TakenAt,
    BindRecord Record,
    bool AsExpected,
    IReadOnlyList<string> Changed
)
{
    /// <summary>Compares a record with the setup as it is.</summary>
    public static BindView Of(StoredEvidence<BindRecord> bind, Setup setup) =>
        new(bind.Id, bind.TakenAt, bind.Record, bind.Record.WentAsExpected, EvidenceBasis.Changed(setup, bind.Basis));
}
