namespace Zephyros.Web.Contracts;

/// <summary>Something done to one timer of a bench.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Timer">The timer's id.</param>
public sealed record TimerCall(string Setup, string Timer);
