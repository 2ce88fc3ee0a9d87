using Zephyros.Core.Captures;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights.Table;

/// <summary>The numbers of one column while a table is read, and what unit they must be in.</summary>
internal sealed class ColumnValues(int index, string head, ColumnTold? told, int rows)
{
    // What no battery, motor or craft reaches in the usual unit, but does in thousandths of it.
    private const double NoVoltage = 100;
    private const double NoCurrent = 1000;

    [Figure(
        Station.Return,
        "A voltage in a recorded flight is one of a cell up to",
        ProvenanceKind.OwnAssumption,
        Note = "where its head says no more than that it is a voltage"
    )]
    private static readonly Volts HighestCell = new(4.6);

    private readonly List<double> values = new(rows);

    /// <summary>Its place in the table.</summary>
    public int Index => index;

    /// <summary>What it is taken for.</summary>
    public ColumnMeaning Meaning { get; set; } = told?.Meaning ?? HeadWords.Meaning(head);

    /// <summary>How many rows have a number.</summary>
    public int Filled { get; private set; }

    /// <summary>The lowest number, as it is written.</summary>
    public double Lowest { get; private set; } = double.PositiveInfinity;

    /// <summary>The highest.</summary>
    public double Highest { get; private set; } = double.NegativeInfinity;

    /// <summary>What must be said of it.</summary>
    public string Remark { get; set; } = "";

    /// <summary>How its unit is known.</summary>
    public ColumnHow How { get; private set; } = told is null ? ColumnHow.Head : ColumnHow.Told;

    /// <summary>Its unit.</summary>
    public ColumnUnit Unit { get; private set; } = new("");

    /// <summary>Its numbers in the unit that is computed with, once <see cref="Decide"/> has found it.</summary>
    public FlightSeries Series()
    {
        var taken = values.ToArray();
        for (var i = 0; i < taken.Length; i++)
            taken[i] = Unit.Taken(taken[i]);
        var unit = ColumnUnits.Of(Meaning)[0].Symbol;
        // A share of some full strength is no number of decibels.
        return new FlightSeries(Meaning, Meaning == ColumnMeaning.Strength && Unit.Symbol == "%" ? "%" : unit, taken);
    }

    /// <summary>Reads a cell.</summary>
    /// <param name="cell">The cell.</param>
    /// <param name="number">The number; not a number where there is none.</param>
    /// <returns>False when it says something else.</returns>
    public static bool Read(string cell, out double number)
    {
        if (TableCells.TryNumber(cell, out number))
            return true;
        number = double.NaN;
        return cell.Length == 0;
    }

    /// <summary>Takes the number of the next row.</summary>
    public void Add(double number)
    {
        values.Add(number);
        See(number);
    }

    /// <summary>Looks at a number without keeping it.</summary>
    public void See(double number)
    {
        if (double.IsNaN(number))
            return;
        Filled++;
        (Lowest, Highest) = (Math.Min(Lowest, number), Math.Max(Highest, number));
    }

    /// <summary>The column as it is told.</summary>
    public FlightColumn Told() =>
        new(
            index,
            TableCells.Shown(head),
            Meaning,
            Unit.Symbol,
            How,
            Filled > 0 ? Lowest : null,
            Filled > 0 ? Highest : null,
            Filled,
            Remark
        );

    /// <summary>Says in which unit a time is.</summary>
    public void SetUnit(ColumnUnit unit, ColumnHow how) => (Unit, How) = (unit, how);

    /// <summary>Finds the unit: what was told, what the head says, or what the range of the numbers allows.</summary>
    public void Decide()
    {
        var named = told?.Unit ?? HeadWords.Unit(Meaning, head);
        if (named is not null && ColumnUnits.Find(Meaning, named) is { } unit)
        {
            (Unit, How) = (unit, told?.Unit is null ? ColumnHow.Head : ColumnHow.Told);
            if (Meaning == ColumnMeaning.Voltage && told is null && OfCell)
                TakeForCell();
            if (Meaning == ColumnMeaning.Strength && unit.Symbol == "dBm" && told is null && Filled > 0 && Lowest >= 0)
                TakeFor(ColumnUnits.Unsigned, "No number is below 0: taken for decibels without their sign.");
            return;
        }

        Unit = ColumnUnits.Of(Meaning)[0];
        if (Meaning == ColumnMeaning.LeftOut)
            return;
        How = ColumnHow.Range;
        if (Filled == 0)
            Remark = "It has no numbers.";
        else
            Judge();
    }

    private bool OfCell => Filled > 0 && Highest > 0 && Unit.Taken(Highest) <= HighestCell.Value;

    private void Judge()
    {
        switch (Meaning)
        {
            case ColumnMeaning.Voltage or ColumnMeaning.CellVoltage:
                if (Highest > NoVoltage)
                    TakeFor("mV", "");
                if (Meaning == ColumnMeaning.Voltage && told is null && OfCell)
                    TakeForCell();
                break;
            case ColumnMeaning.Current when Highest > NoCurrent:
                TakeFor("mA", "");
                break;
            case ColumnMeaning.Throttle:
                if (Lowest >= 800 && Highest <= 2200)
                    TakeFor(ColumnUnits.Pulse, "");
                else if (Lowest < -5 && Lowest >= -110 && Highest <= 110)
                    TakeFor(ColumnUnits.Centred, "");
                else if (Lowest >= -0.01 && Highest <= 1.01)
                    TakeFor(ColumnUnits.Share, "");
                else if (Lowest < -5 || Highest > 110)
                    Leave("Its numbers fit no throttle: say in which unit they are.");
                break;
            case ColumnMeaning.LinkQuality or ColumnMeaning.DownLinkQuality:
                if (Lowest >= 0 && Highest <= 1.01)
                    TakeFor(ColumnUnits.Share, "");
                else if (Lowest < 0 || Highest > 100)
                    Leave("Its numbers are no percent: a quality beyond 100 is another scale.");
                break;
            case ColumnMeaning.Strength when Lowest >= 0:
                TakeFor("%", "No number is below 0: taken for percent.");
                break;
            case ColumnMeaning.LeftOut
            or ColumnMeaning.Time
            or ColumnMeaning.Current
            or ColumnMeaning.ChargeUsed
            or ColumnMeaning.Strength
            or ColumnMeaning.Distance
            or ColumnMeaning.Height
            or ColumnMeaning.Satellites:
                break;
        }
    }

    private void TakeFor(string unit, string remark) =>
        (Unit, Remark, How) = (ColumnUnits.Find(Meaning, unit)!.Value, remark, ColumnHow.Range);

    private void TakeForCell()
    {
        Meaning = ColumnMeaning.CellVoltage;
        Remark = "No number is above a full cell: taken for the voltage of one cell.";
    }

    private void Leave(string remark) => (Meaning, Remark, Unit) = (ColumnMeaning.LeftOut, remark, new(""));
}
