namespace Zephyros.Core.Board;

/// <summary>What an armed board does once a lost signal has outlasted the grace time.</summary>
public enum LossProcedure
{
    /// <summary>The motors stop, and the arm switch must be cycled.</summary>
    Stop,

    /// <summary>It comes down by itself for a set time, then stops the motors.</summary>
    Land,

    /// <summary>It flies home; without a position fix, or too near to home, it comes down as in <see cref="Land"/>.</summary>
    ReturnHome,
}
