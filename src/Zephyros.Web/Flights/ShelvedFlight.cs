using Zephyros.Core.Flights.Table;

namespace Zephyros.Web.Flights;

/// <summary>A recorded flight on the shelf: its file, and what is read of it. Safe for use by several threads.</summary>
internal sealed class ShelvedFlight : IDisposable
{
    private readonly FileStream file;
    private readonly Lock gate = new();
    private Dictionary<int, ColumnTold> told = [];
    private LongWork<FlightReading> work;

    /// <summary>Begins to read a file, which goes away with this.</summary>
    public ShelvedFlight(string setup, string name, FileStream file)
    {
        (Setup, Name, this.file) = (setup, name, file);
        work = Read();
    }

    /// <summary>Its id.</summary>
    public string Id { get; } = Guid.NewGuid().ToString("N");

    /// <summary>The setup for which it was dropped.</summary>
    public string Setup { get; }

    /// <summary>The name of the file.</summary>
    public string Name { get; }

    /// <summary>The reading that goes on, or the last.</summary>
    public LongWork<FlightReading> Work
    {
        get
        {
            lock (gate)
                return work;
        }
    }

    /// <summary>What it takes in memory, in bytes.</summary>
    public long Weight => Work.Result?.Recording?.Weight ?? 0;

    /// <summary>Reads it again with what is said of its columns.</summary>
    public void Tell(IReadOnlyDictionary<int, ColumnTold> columns)
    {
        lock (gate)
        {
            work.Dispose();
            told = new(columns);
            work = Read();
        }
    }

    /// <summary>Ends the reading and lets the file go.</summary>
    public void Dispose()
    {
        LongWork<FlightReading> last;
        lock (gate)
            last = work;
        last.Dispose();
        _ = last.Ended.ContinueWith(_ => file.Dispose(), TaskScheduler.Default);
    }

    // One reading after the other has the file: the one before was ended, and has let it go once its turn is over.
    private LongWork<FlightReading> Read()
    {
        var columns = told;
        return new(
            (progress, cancel) =>
            {
                file.Position = 0;
                return FlightFile.Read(file, columns, progress, cancel);
            }
        );
    }
}
