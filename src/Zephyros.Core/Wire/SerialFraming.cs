using System.Globalization;

namespace Zephyros.Core.Wire;

/// <summary>How the bytes of a serial wire format stand on the line: start bit, eight data bits (lowest first), parity, stop bits.</summary>
/// <param name="Baud">Bits per second.</param>
/// <param name="Parity">The parity bit, if there is one.</param>
/// <param name="StopBits">1 or 2 stop bits.</param>
/// <param name="Inverted">True when the line idles low, so that the board's port needs an inverter.</param>
public sealed record SerialFraming(int Baud, Parity Parity, int StopBits, bool Inverted)
{
    /// <summary>Data bits in a byte.</summary>
    public const int DataBits = 8;

    /// <summary>Bits on the wire for each byte: start, data, parity and stop.</summary>
    public int BitsPerByte => 1 + DataBits + (Parity == Parity.None ? 0 : 1) + StopBits;

    /// <summary>The time of one bit.</summary>
    public double BitMicroseconds => 1e6 / Baud;

    /// <summary>Speed and form in words, such as "100 000 baud, 8E2, inverted (idles low)".</summary>
    public string Words => $"{Speed(Baud)}, {Form}";

    /// <summary>Bits and polarity in the short form of the trade, such as "8E2, inverted (idles low)".</summary>
    public string Form
    {
        get
        {
            var parity = Parity switch
            {
                Parity.None => 'N',
                Parity.Even => 'E',
                Parity.Odd => 'O',
            };
            return $"{DataBits}{parity}{StopBits}{(Inverted ? ", inverted (idles low)" : ", idles high")}";
        }
    }

    /// <summary>A speed in words, such as "100 000 baud".</summary>
    public static string Speed(double baud) =>
        baud.ToString("N0", CultureInfo.InvariantCulture).Replace(',', ' ') + " baud";
}
