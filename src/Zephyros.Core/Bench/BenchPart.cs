namespace Zephyros.Core.Bench;

/// <summary>A part of the bench that does something by itself at times.</summary>
/// <param name="Next">The virtual time at which it acts next; <see cref="TimeSpan.MaxValue"/> when it does not.</param>
/// <param name="Act">What it does then.</param>
internal sealed record BenchPart(Func<TimeSpan> Next, Action Act);
