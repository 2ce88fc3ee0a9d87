namespace Zephyros.Core.Units;

/// <summary>Marks a figure of the trade where the code uses it: what it is, its unit, and where it comes from.
/// <see cref="FigureRegister"/> collects them, so that what is shown is what is computed with.</summary>
/// <param name="station">Where on the path it belongs.</param>
/// <param name="name">What it is, as the beginning of a sentence.</param>
/// <param name="kind">How well it is founded.</param>
[AttributeUsage(AttributeTargets.Field | AttributeTargets.Property)]
public sealed class FigureAttribute(Station station, string name, ProvenanceKind kind) : Attribute
{
    /// <summary>Where on the path it belongs.</summary>
    public Station Station { get; } = station;

    /// <summary>What it is.</summary>
    public string Name { get; } = name;

    /// <summary>How well it is founded.</summary>
    public ProvenanceKind Kind { get; } = kind;

    /// <summary>The unit of a bare number; a quantity or a time brings its own.</summary>
    public string Unit { get; init; } = "";

    /// <summary>The published standard or table, for <see cref="ProvenanceKind.Published"/>.</summary>
    public string Source { get; init; } = "";

    /// <summary>Its edition and clause.</summary>
    public string Place { get; init; } = "";

    /// <summary>What more there is to say, without a full stop.</summary>
    public string Note { get; init; } = "";
}
