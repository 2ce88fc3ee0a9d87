using System.Text;
using Zephyros.Core.Flights;
using Zephyros.Core.Flights.Invented;
using Zephyros.Core.Flights.Table;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Flights;

/// <summary>Reads flights out of text.</summary>
internal static class FlightRig
{
    public static FlightReading Read(string text, params (int Column, ColumnTold Told)[] told) =>
        Read(Encoding.UTF8.GetBytes(text), told);

    public static FlightReading Read(byte[] bytes, params (int Column, ColumnTold Told)[] told)
    {
        using var stream = new MemoryStream(bytes);
        return FlightFile.Read(stream, told.ToDictionary(t => t.Column, t => t.Told), null, CancellationToken.None);
    }

    public static FlightRecording Flight(string text)
    {
        var reading = Read(text);
        Assert.True(reading.Recording is not null, reading.Problem);
        return reading.Recording!;
    }

    public static FlightRecording Invented(Setup setup, InventedKind kind, ulong seed) =>
        Flight(InventedFlight.Csv(setup, kind, seed));
}
