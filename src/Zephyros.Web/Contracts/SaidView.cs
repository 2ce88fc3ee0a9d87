using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>Something that was said.</summary>
/// <param name="At">When, since the first row.</param>
/// <param name="Text">What.</param>
public sealed record SaidView(Milliseconds At, string Text);
