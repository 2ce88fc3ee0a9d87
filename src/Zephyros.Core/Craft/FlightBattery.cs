using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Craft;

/// <summary>The flight battery and what the craft takes out of it. Its cells in series stand beside it, in <see cref="CraftDescription.Cells"/>.</summary>
public sealed record FlightBattery
{
    /// <summary>What the cells are made of.</summary>
    [Description("What the cells are made of.")]
    public CellChemistry Chemistry { get; init; }

    /// <summary>The charge that a full battery holds.</summary>
    [Description("The charge that a full battery holds, in milliampere hours.")]
    [Range(50, 50000)]
    public required MilliampHours Capacity { get; init; }

    /// <summary>The resistance of one cell: a reading at rest and one under load give it.</summary>
    [Description("The resistance of one cell, in milliohms.")]
    [Range(0, 500)]
    public Milliohms CellResistance { get; init; } = new(8);

    /// <summary>What flows at full throttle.</summary>
    [Description("The current at full throttle, in amperes.")]
    [Range(1, 500)]
    public required Amperes FullCurrent { get; init; }

    /// <summary>The resistance of one cell from two readings of the pack, hardly loaded and under load: the fall of the voltage over the
    /// rise of the current, shared by the cells (Ohm's law).</summary>
    /// <returns>Null when the second reading has no higher current, or no lower voltage.</returns>
    public static Milliohms? ResistanceOf(
        (Volts Voltage, Amperes Current) rest,
        (Volts Voltage, Amperes Current) load,
        int cells
    ) =>
        load.Current > rest.Current && load.Voltage < rest.Voltage
            ? new Milliohms((rest.Voltage - load.Voltage).Value / (load.Current - rest.Current).Value * 1000 / cells)
            : null;
}
