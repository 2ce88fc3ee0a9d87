namespace Zephyros.Storage;

/// <summary>A setup that was put away.</summary>
/// <param name="Id">The setup's id.</param>
/// <param name="Name">The craft's name.</param>
/// <param name="At">When it was put away, in UTC.</param>
public sealed record PutAwaySetup(string Id, string Name, DateTimeOffset At);
