using Zephyros.Core.Units;

namespace Zephyros.Core.Craft;

/// <summary>Voltages of one cell by its chemistry: full, empty, and at rest in between.</summary>
public static class CellVoltages
{
    private const string Polymer = "lithium polymer at rest, by the share of charge that is left";

    [Figure(Station.Return, "A full cell of lithium polymer or lithium ion has", ProvenanceKind.CommonPractice)]
    private static readonly Volts FullCell = new(4.2);

    [Figure(Station.Return, "A full cell of high-voltage polymer has", ProvenanceKind.CommonPractice)]
    private static readonly Volts FullHighCell = new(4.35);

    [Figure(
        Station.Return,
        "Land under load at, for each cell",
        ProvenanceKind.CommonPractice,
        Note = "lithium polymer"
    )]
    private static readonly Volts LandPolymer = new(3.4);

    [Figure(Station.Return, "Land under load at, for each cell of lithium ion", ProvenanceKind.FromMemory)]
    private static readonly Volts LandIon = new(3.0);

    /// <summary>Readings below this for each cell are no battery: so a board reports before it has measured.</summary>
    [Figure(
        Station.Return,
        "A reading is no battery below, for each cell",
        ProvenanceKind.CommonPractice,
        Note = "what a board reports before it has measured"
    )]
    public static readonly Volts Mask = new(1.5);

    // Tenths of the charge, empty first.
    [Figure(Station.Return, "An empty cell at rest has", ProvenanceKind.FromMemory, Note = Polymer)]
    private static readonly Volts EmptyPolymer = new(3.27);

    private static readonly double[] RestPolymer =
    [
        EmptyPolymer.Value,
        3.69,
        3.73,
        3.77,
        3.79,
        3.82,
        3.87,
        3.92,
        3.98,
        4.08,
        FullCell.Value,
    ];

    private static readonly double[] RestHigh =
    [
        EmptyPolymer.Value,
        3.69,
        3.74,
        3.79,
        3.83,
        3.88,
        3.94,
        4.02,
        4.11,
        4.22,
        FullHighCell.Value,
    ];

    private static readonly double[] RestIon =
    [
        2.5,
        3.05,
        3.3,
        3.45,
        3.55,
        3.63,
        3.72,
        3.82,
        3.93,
        4.05,
        FullCell.Value,
    ];

    /// <summary>A full cell.</summary>
    public static Volts Full(CellChemistry chemistry) =>
        chemistry switch
        {
            CellChemistry.LithiumPolymer or CellChemistry.LithiumIon => FullCell,
            CellChemistry.HighVoltagePolymer => FullHighCell,
        };

    /// <summary>The level at which the trade lands, under load.</summary>
    public static Volts Land(CellChemistry chemistry) =>
        chemistry switch
        {
            CellChemistry.LithiumPolymer or CellChemistry.HighVoltagePolymer => LandPolymer,
            CellChemistry.LithiumIon => LandIon,
        };

    /// <summary>A cell at rest.</summary>
    /// <param name="chemistry">What it is made of.</param>
    /// <param name="left">The share of its charge that is left, 0 to 1; what lies beyond counts as the end.</param>
    public static Volts Rest(CellChemistry chemistry, double left)
    {
        var curve = chemistry switch
        {
            CellChemistry.LithiumPolymer => RestPolymer,
            CellChemistry.HighVoltagePolymer => RestHigh,
            CellChemistry.LithiumIon => RestIon,
        };
        var place = Math.Clamp(left, 0, 1) * (curve.Length - 1);
        var tenth = Math.Min((int)place, curve.Length - 2);
        return new Volts(curve[tenth] + ((place - tenth) * (curve[tenth + 1] - curve[tenth])));
    }
}
