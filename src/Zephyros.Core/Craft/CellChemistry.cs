namespace Zephyros.Core.Craft;

/// <summary>What the cells of a flight battery are made of.</summary>
public enum CellChemistry
{
    /// <summary>Lithium polymer: 4.20 V when full.</summary>
    LithiumPolymer,

    /// <summary>Lithium polymer that is charged higher: 4.35 V when full.</summary>
    HighVoltagePolymer,

    /// <summary>Lithium ion: 4.20 V when full, and emptied further.</summary>
    LithiumIon,
}
