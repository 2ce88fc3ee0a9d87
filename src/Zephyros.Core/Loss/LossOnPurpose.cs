namespace Zephyros.Core.Loss;

/// <summary>A position that runs the loss procedure on purpose, for a test or a rescue, beside a real loss.</summary>
/// <param name="Label">What the board's function is called.</param>
/// <param name="Same">True when the board does the same as on a real loss, then and after it.</param>
/// <param name="Words">What it does, and where it differs, a sentence each.</param>
public sealed record LossOnPurpose(string Label, bool Same, IReadOnlyList<string> Words);
