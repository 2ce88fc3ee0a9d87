namespace Zephyros.Core.Measure.Routines;

/// <summary>What the routine of the sticks waits for.</summary>
internal enum RoutinePhase
{
    /// <summary>A stick goes up, right or forward to its end.</summary>
    FirstEnd,

    /// <summary>It goes to its other end.</summary>
    OtherEnd,

    /// <summary>It is let go.</summary>
    LetGo,

    /// <summary>Every stick was measured.</summary>
    Done,
}
