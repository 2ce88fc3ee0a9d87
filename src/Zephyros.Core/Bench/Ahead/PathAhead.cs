using Zephyros.Core.Path.Trace;

namespace Zephyros.Core.Bench.Ahead;

/// <summary>One control along the path, as it is and as it would be after an edit, and what the board says to either.</summary>
/// <param name="Where">Where the hands stand for it, such as "Left shoulder far"; empty for where they stand on the bench.</param>
/// <param name="Before">The path as it is.</param>
/// <param name="After">The path as it would be; the same stops where nothing changes.</param>
/// <param name="BoardBefore">What the board says as it is.</param>
/// <param name="BoardAfter">What it would say.</param>
public sealed record PathAhead(
    string Where,
    PathTrace Before,
    PathTrace After,
    BoardReport BoardBefore,
    BoardReport BoardAfter
)
{
    /// <summary>True when something along the path, or what the board says, would be another.</summary>
    public bool Changes => BoardBefore != BoardAfter || !Before.Stops.Zip(After.Stops, Same).All(same => same);

    /// <summary>True when a value or a mark along the path, or what the board says first of all, would be another: more than a word.</summary>
    public bool ChangesValues =>
        BoardBefore.Title != BoardAfter.Title
        || !Before
            .Stops.Zip(After.Stops)
            .All(s => (s.First.Figure, s.First.Unit, s.First.Mark) == (s.Second.Figure, s.Second.Unit, s.Second.Mark));

    private static bool Same(TraceStop one, TraceStop other) =>
        (one.Figure, one.Unit, one.Note, one.Mark) == (other.Figure, other.Unit, other.Note, other.Mark);
}
