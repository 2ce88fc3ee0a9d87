namespace Zephyros.Core.ReadyMade;

/// <summary>Something that a ready-made chain needs to know.</summary>
/// <param name="Name">Its name in a request.</param>
/// <param name="Label">What it is called on screen.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Default">The value that fits the setup; empty when there is none.</param>
public sealed record Parameter(string Name, string Label, ParameterKind Kind, string Default)
{
    /// <summary>The unit of a number.</summary>
    public string Unit { get; init; } = "";

    /// <summary>The lowest number that makes sense.</summary>
    public double? Minimum { get; init; }

    /// <summary>The highest number that makes sense.</summary>
    public double? Maximum { get; init; }

    /// <summary>What can be chosen, with the words to show: controls, channels or choices.</summary>
    public IReadOnlyList<Option> Options { get; init; } = [];

    /// <summary>True when it may be left empty.</summary>
    public bool Optional { get; init; }
}
