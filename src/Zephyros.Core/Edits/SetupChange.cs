namespace Zephyros.Core.Edits;

/// <summary>One difference between two setups, in words.</summary>
/// <param name="Where">What differs, such as "Board, Arm, high".</param>
/// <param name="Before">What stood there; empty when nothing did.</param>
/// <param name="After">What stands there now; empty when nothing does.</param>
public sealed record SetupChange(string Where, string Before, string After);
