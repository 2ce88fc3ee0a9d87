namespace Zephyros.Core.Path.States;

/// <summary>Something that decides about the flight state: a control, a sensor, or whether telemetry arrives.</summary>
/// <param name="Choices">Where it can be; where it is at switch-on comes first.</param>
/// <param name="Presses">How long it is held for, in milliseconds, one length for each way in which its presses are told apart; empty
/// for all but buttons.</param>
internal sealed record StateDecider(IReadOnlyList<StateChoice> Choices, IReadOnlyList<double> Presses);
