namespace Zephyros.Web.Contracts;

/// <summary>What a ready-made chain would do.</summary>
/// <param name="Facts">What was worked out, one sentence each.</param>
/// <param name="Changes">What it would put into the model, one line each.</param>
public sealed record ReadyMadePreview(IReadOnlyList<string> Facts, IReadOnlyList<string> Changes);
