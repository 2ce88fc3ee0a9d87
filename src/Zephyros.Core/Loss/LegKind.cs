namespace Zephyros.Core.Loss;

/// <summary>What the craft does on a leg of a loss.</summary>
public enum LegKind
{
    /// <summary>It flies on as before.</summary>
    Level,

    /// <summary>Its motors do not carry it: it falls.</summary>
    Falling,

    /// <summary>It comes down by itself.</summary>
    Landing,

    /// <summary>It climbs by itself before it flies home.</summary>
    Climbing,

    /// <summary>It flies home by itself.</summary>
    Returning,

    /// <summary>It is home, and comes down there by itself, held in its place by position.</summary>
    LandingAtHome,

    /// <summary>It lies or stands on the ground.</summary>
    OnGround,
}
