using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The share of the last hundred packets that came. At first all have.</summary>
internal sealed class PacketShare
{
    [Figure(Station.Air, "Link quality is counted over so many packets", ProvenanceKind.CommonPractice)]
    private const int Window = 100;

    private readonly bool[] came = new bool[Window];
    private int place;
    private int count = Window;

    public PacketShare() => Array.Fill(came, true);

    /// <summary>The share.</summary>
    public Percent Value => new(100.0 * count / Window);

    /// <summary>Another one that has counted the same packets.</summary>
    public PacketShare Copy()
    {
        var made = new PacketShare { place = place, count = count };
        came.CopyTo(made.came, 0);
        return made;
    }

    /// <summary>Counts a packet.</summary>
    public void Count(bool comes)
    {
        count += (comes ? 1 : 0) - (came[place] ? 1 : 0);
        came[place] = comes;
        place = (place + 1) % Window;
    }
}
