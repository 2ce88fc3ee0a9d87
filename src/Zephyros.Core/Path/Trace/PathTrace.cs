namespace Zephyros.Core.Path.Trace;

/// <summary>One control followed along the path: one stop for each station.</summary>
/// <param name="Control">The id of the control.</param>
/// <param name="Name">Its name.</param>
/// <param name="Stops">The six stops, in the order of the path.</param>
public sealed record PathTrace(string Control, string Name, IReadOnlyList<TraceStop> Stops);
