namespace Zephyros.Core.Findings;

/// <summary>How several findings of one rule are told as one, since one cause stands behind them.</summary>
/// <param name="Code">The code of the rule, as the keys of its findings begin.</param>
/// <param name="Title">What they are together, such as "{0} trims are left on"; {0} is how many.</param>
/// <param name="FixAll">What it is called to put all of them right at once; {0} is how many.</param>
public sealed record FindingsTogether(string Code, string Title, string FixAll);
