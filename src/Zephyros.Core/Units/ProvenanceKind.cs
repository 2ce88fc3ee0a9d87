namespace Zephyros.Core.Units;

/// <summary>How well a figure or a rule is founded, the best first.</summary>
public enum ProvenanceKind
{
    /// <summary>A published standard or table says so.</summary>
    Published,

    /// <summary>It follows from the setup by computation or by trying everything.</summary>
    Computed,

    /// <summary>The trade does it so; nobody has published it.</summary>
    CommonPractice,

    /// <summary>It is remembered and was not looked up.</summary>
    FromMemory,

    /// <summary>Zephyros assumes it.</summary>
    OwnAssumption,
}
