using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Verdicts;

/// <summary>How a promise stands: what the proof has said of it so far, and what the pilot has decided about it.</summary>
/// <param name="Promise">The promise.</param>
/// <param name="Verdict">What the proof says; null while it has not said anything.</param>
/// <param name="Setting">What the pilot has decided; null when nothing.</param>
public sealed record PromiseStanding(Promise Promise, PromiseVerdict? Verdict, PromiseSetting? Setting)
{
    /// <summary>True when the pilot does not want it looked at.</summary>
    public bool IsOff => Setting is { On: false };

    /// <summary>True while the proof owes an answer.</summary>
    public bool IsWaiting => !IsOff && Verdict is null;

    /// <summary>True when it is proven.</summary>
    public bool IsProven => !IsOff && Verdict?.Kind == VerdictKind.Proven;

    /// <summary>True when it is not kept, and the pilot has said why that is to stay so.</summary>
    public bool IsKeptOnPurpose => !IsOff && Verdict is not null && !IsProven && Note.Length > 0;

    /// <summary>True when it is neither proven nor left as it is for a reason.</summary>
    public bool IsOpen => !IsOff && Verdict is not null && !IsProven && Note.Length == 0;

    private string Note => Setting?.Note ?? "";
}
