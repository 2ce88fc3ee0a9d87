using Zephyros.Core.Path.Timers;

namespace Zephyros.Web.Contracts;

/// <summary>What a timer does.</summary>
/// <param name="Sentence">In words; what it lacks is not said.</param>
/// <param name="Flight">What it does in a flight; nothing when no position of a switch arms.</param>
public sealed record TimerView(string Sentence, IReadOnlyList<TimerMoment> Flight);
