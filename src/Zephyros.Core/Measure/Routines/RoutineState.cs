namespace Zephyros.Core.Measure.Routines;

/// <summary>How far a guided routine is.</summary>
/// <param name="Done">True when everything is measured.</param>
/// <param name="Prompt">What to do now, in a few words that can be read from where the transmitter is held.</param>
/// <param name="Problem">Why it does not go on; empty while nothing is wrong.</param>
/// <param name="Asks">What it looks at for that.</param>
/// <param name="Seen">How many sticks or positions were seen so far.</param>
/// <param name="Count">How many there are.</param>
/// <param name="Readings">What the board showed so far.</param>
public sealed record RoutineState(
    bool Done,
    string Prompt,
    string Problem,
    RoutineAsk Asks,
    int Seen,
    int Count,
    BoardReadings Readings
);
