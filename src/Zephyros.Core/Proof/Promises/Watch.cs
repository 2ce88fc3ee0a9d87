using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Looks at every transition for a promise. What it remembers is a small number that is part of the state, so that the
/// proof is exhaustive over it as well.</summary>
public abstract class Watch
{
    /// <summary>What <see cref="Next"/> gives when the promise is broken, or when what must be reachable is reached.</summary>
    public const int Broken = -1;

    /// <summary>True once the promise's premise has come about somewhere; without it the promise says nothing.</summary>
    public bool PremiseReached { get; protected set; }

    /// <summary>What is remembered at the start.</summary>
    public virtual int Start => 0;

    /// <summary>Looks at a transition. The same arguments always give the same answer.</summary>
    /// <param name="monitor">What was remembered before it.</param>
    /// <param name="change">The transition.</param>
    /// <returns>What is remembered after it, 0 or more, or <see cref="Broken"/>.</returns>
    public abstract int Next(int monitor, in Change change);

    /// <summary>True when the promise asks whether the board has a position fix.</summary>
    public virtual bool LooksAtFix => false;

    /// <summary>Moved while nothing came by radio, these excuse what the return of the radio brings.</summary>
    public virtual Roles Excuses => Roles.None;

    /// <summary>True when the promise asks whether a reading trembles.</summary>
    public virtual bool LooksAtTremble => false;

    /// <summary>True when a movement of a hand may be tried; a promise about switching on looks at no movement.</summary>
    public virtual bool HandsMove => true;
}
