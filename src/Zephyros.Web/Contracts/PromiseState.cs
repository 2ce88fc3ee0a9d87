namespace Zephyros.Web.Contracts;

/// <summary>How a promise stands at this moment.</summary>
public enum PromiseState
{
    /// <summary>Not looked at yet.</summary>
    Waiting,

    /// <summary>Being proven.</summary>
    Running,

    /// <summary>No reachable state breaks it.</summary>
    Proven,

    /// <summary>A sequence breaks it.</summary>
    Broken,

    /// <summary>Neither came out: over the limit, cancelled, or unconfirmed.</summary>
    NotProven,

    /// <summary>What it speaks of is never reached.</summary>
    Vacuous,

    /// <summary>Switched off for this craft.</summary>
    Off,
}
