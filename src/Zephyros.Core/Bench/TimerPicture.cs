using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>A timer at one moment.</summary>
/// <param name="Shown">What the display shows, such as "2:05".</param>
/// <param name="Counting">True while it counts.</param>
/// <param name="Counted">What was counted since it began anew.</param>
public sealed record TimerPicture(string Shown, bool Counting, Milliseconds Counted);
