namespace Zephyros.Core.Units;

/// <summary>The number of a channel as the transmitter counts it, 1 and up. Channels 1 to 4 carry the sticks.</summary>
/// <remarks>The range is checked by the validator of a setup, which can name the place; the type itself accepts any number.</remarks>
public readonly record struct ChannelNumber(int Value) : IQuantity<ChannelNumber>
{
    /// <summary>How many channels carry the sticks; AUX 1 is the next one.</summary>
    [Figure(
        Station.Wire,
        "So many channels carry the sticks",
        ProvenanceKind.CommonPractice,
        Note = "AUX n is channel n + 4"
    )]
    public const int StickChannels = 4;

    /// <summary>The highest channel that a setup knows: AUX 28.</summary>
    public const int Highest = 32;

    double IQuantity<ChannelNumber>.Value => Value;

    /// <inheritdoc />
    public static string Symbol => "";

    /// <summary>The AUX number of this channel, or null for the four stick channels.</summary>
    public int? Aux => Value > StickChannels ? Value - StickChannels : null;

    /// <inheritdoc />
    public static ChannelNumber From(double value) => new((int)value);

    /// <summary>The channel that a board calls AUX <paramref name="aux"/>; AUX 1 is channel 5.</summary>
    public static ChannelNumber FromAux(int aux) => new(aux + StickChannels);

    /// <summary>Both of its numbers, for example "channel 5 (AUX 1)", or "channel 3".</summary>
    public override string ToString() => Aux is { } aux ? $"channel {Value} (AUX {aux})" : $"channel {Value}";
}
