namespace Zephyros.Core.Measure.Routines;

/// <summary>A measuring routine that says what to move and goes on by itself. It knows nothing of where the values come from: real sticks,
/// those of the page, a recording, or what a pilot types. Not safe for use by several threads.</summary>
public interface IRoutine
{
    /// <summary>How far it is.</summary>
    RoutineState State { get; }

    /// <summary>Looks at what the board shows.</summary>
    /// <param name="seen">What it shows.</param>
    /// <param name="now">The time; not earlier than before.</param>
    /// <returns>True when the state is another than before.</returns>
    bool Look(BoardShows seen, TimeSpan now);

    /// <summary>Leaves out the stick or position that is asked for, for example because nothing answers it.</summary>
    /// <param name="now">The time.</param>
    void Skip(TimeSpan now);
}
