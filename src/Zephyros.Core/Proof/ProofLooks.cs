using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Tables;

namespace Zephyros.Core.Proof;

/// <summary>What of a setup a check looks at; checks that look at the same share their tables.</summary>
/// <param name="Bits">The bits of the board's view.</param>
/// <param name="Cues">The conditions besides, in this order.</param>
/// <param name="Standing">The control whose positions count, or null.</param>
/// <param name="AtRestOn">The id of the channel that is looked at only at rest and with what the pilot lets override it, or null.</param>
/// <param name="CourseOf">The id of the channel whose every value is looked at, or null.</param>
internal sealed record ProofLooks(
    ulong Bits,
    EquatableList<string> Cues,
    string? Standing,
    string? AtRestOn,
    string? CourseOf = null
)
{
    public static ProofLooks Of(PromiseCheck check) =>
        new(check.Bits, new(check.Cues), check.Standing, check.AtRestOn, check.CourseOf);
}
