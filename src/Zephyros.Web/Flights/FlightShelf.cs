namespace Zephyros.Web.Flights;

/// <summary>Keeps recorded flights and maps of alarms while the program runs; the oldest give way. Safe for use by several threads.</summary>
internal sealed class FlightShelf : IDisposable
{
    /// <summary>So many flights are kept.</summary>
    public const int MostKept = 12;

    private const int MostMaps = 3;

    // In bytes; the newest stays whatever it takes, which the limits of a flight bound.
    private const long MostWeight = 320L << 20;

    private readonly Lock gate = new();
    private readonly LinkedList<ShelvedFlight> flights = new();
    private readonly LinkedList<ShelvedMap> maps = new();

    /// <summary>Puts a flight on the shelf.</summary>
    public ShelvedFlight Keep(ShelvedFlight flight)
    {
        List<ShelvedFlight> gone = [];
        lock (gate)
        {
            flights.AddFirst(flight);
            while (flights.Count > 1 && (flights.Count > MostKept || flights.Sum(f => f.Weight) > MostWeight))
            {
                gone.Add(flights.Last!.Value);
                flights.RemoveLast();
            }
        }

        foreach (var one in gone)
            one.Dispose();
        return flight;
    }

    /// <summary>Puts a map on the shelf.</summary>
    public ShelvedMap Keep(ShelvedMap map)
    {
        ShelvedMap? gone = null;
        lock (gate)
        {
            maps.AddFirst(map);
            if (maps.Count > MostMaps)
            {
                gone = maps.Last!.Value;
                maps.RemoveLast();
            }
        }

        gone?.Dispose();
        return map;
    }

    /// <summary>The flights of a setup, in the order in which they were dropped.</summary>
    public IReadOnlyList<ShelvedFlight> Of(string setup)
    {
        lock (gate)
            return [.. flights.Where(f => f.Setup == setup).Reverse()];
    }

    /// <summary>A flight; null when it is no longer there.</summary>
    public ShelvedFlight? Find(string id)
    {
        lock (gate)
            return flights.FirstOrDefault(f => f.Id == id);
    }

    /// <summary>A map; null when it is no longer there.</summary>
    public ShelvedMap? FindMap(string id)
    {
        lock (gate)
            return maps.FirstOrDefault(m => m.Id == id);
    }

    /// <summary>Takes a flight, or a map, off the shelf; what goes on of it ends.</summary>
    public void Remove(string id)
    {
        IDisposable? gone;
        lock (gate)
        {
            gone = flights.FirstOrDefault(f => f.Id == id) as IDisposable ?? maps.FirstOrDefault(m => m.Id == id);
            if (gone is ShelvedFlight flight)
                flights.Remove(flight);
            else if (gone is ShelvedMap map)
                maps.Remove(map);
        }

        gone?.Dispose();
    }

    /// <summary>Lets all files go.</summary>
    public void Dispose()
    {
        foreach (var flight in flights)
            flight.Dispose();
        foreach (var map in maps)
            map.Dispose();
    }
}
