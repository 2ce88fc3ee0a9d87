namespace Zephyros.Core.Proof;

/// <summary>One exploration that a promise asks for.</summary>
/// <param name="Bits">The bits of the board's view that it looks at; what does not influence them is left out.</param>
/// <param name="Watch">Makes what looks at the transitions.</param>
public sealed record PromiseCheck(ulong Bits, Func<Watch> Watch)
{
    /// <summary>What this check is about, where a promise has several; otherwise empty.</summary>
    public string About { get; init; } = "";

    /// <summary>True to start with the guarded controls where the power-on check wants them; false to start with all controls anywhere.</summary>
    public bool DeclaredStart { get; init; }

    /// <summary>True when the premise only has to be reachable.</summary>
    public bool MustReach { get; init; }

    /// <summary>The roles of controls that the watch looks at.</summary>
    public Roles LooksAt { get; init; }

    /// <summary>The movement that the promise names: a control and its setting; null when it names none.</summary>
    public (string Control, double Setting)? Named { get; init; }
}
