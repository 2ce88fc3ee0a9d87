namespace Zephyros.Core.Measure.Routines;

/// <summary>What a guided routine measures.</summary>
public enum RoutineKind
{
    /// <summary>Nothing; none runs.</summary>
    None,

    /// <summary>The four sticks: which bar answers, which way, and how far it goes.</summary>
    Sticks,

    /// <summary>Switches and buttons: what each position gives.</summary>
    Switches,
}
