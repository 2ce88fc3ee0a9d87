namespace Zephyros.Core.Captures;

/// <summary>What makes a file no recording.</summary>
/// <param name="Line">The line in the file, counted from 1; 0 for the file as a whole.</param>
/// <param name="Reason">What is wrong and what would be right.</param>
public sealed record CaptureProblem(int Line, string Reason);
