namespace Zephyros.Core.Flights.Trial;

/// <summary>How far the test of an alarm on the bench is.</summary>
public enum AlarmTestState
{
    /// <summary>The limit is raised, and nothing is heard yet.</summary>
    Raised,

    /// <summary>It was heard, the limit is back, and it must be silent again.</summary>
    Heard,

    /// <summary>It was heard, and is silent again.</summary>
    Done,

    /// <summary>It was not heard in time; the limit is back.</summary>
    Unheard,

    /// <summary>It was heard, and goes on with the limit back.</summary>
    GoesOn,

    /// <summary>The setup was changed meanwhile; what was changed counts.</summary>
    BrokenOff,
}
