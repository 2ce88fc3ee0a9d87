namespace Zephyros.Core.Board;

/// <summary>What the board flies on between the loss and its procedure.</summary>
public enum GraceValues
{
    /// <summary>The values of the last good frame.</summary>
    Last,

    /// <summary>Sticks centred and throttle low.</summary>
    Substituted,
}
