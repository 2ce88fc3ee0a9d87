namespace Zephyros.Core.Path.States;

/// <summary>One place where something that decides about the flight state can be.</summary>
/// <param name="Words">What it is and where it is: "Right shoulder far".</param>
/// <param name="Put">Puts it there.</param>
internal sealed record StateChoice(string Words, Action<SignalValues> Put);
