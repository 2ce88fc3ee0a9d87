using System.Diagnostics.CodeAnalysis;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>Which axis each of channels 1 to 4 stands for, as four letters such as TAER. One of 24 permutations.</summary>
/// <remarks>A transmitter sends in such an order and a board reads by one; the setup is right when they are the same.</remarks>
public readonly record struct StickOrder
{
    // Axis of channel i in bits 2i and 2i+1: equality is the record's own.
    private readonly byte packed;

    private StickOrder(byte axes) => packed = axes;

    /// <summary>All 24 orders, alphabetically.</summary>
    public static IReadOnlyList<StickOrder> All { get; } =
    [
        .. from a in "AERT"
        from b in "AERT"
        from c in "AERT"
        from d in "AERT"
        let text = new string([a, b, c, d])
        where text.Distinct().Count() == 4
        select Parse(text),
    ];

    /// <summary>Reads four letters.</summary>
    /// <exception cref="FormatException">The text is not a permutation of A, E, T, R; the message says what is wrong.</exception>
    public static StickOrder Parse(string text) =>
        TryParse(text, out var order, out var problem) ? order : throw new FormatException(problem);

    /// <summary>Reads four letters, each of A, E, T and R once.</summary>
    /// <param name="text">The letters, upper case.</param>
    /// <param name="order">The order, when the text is one.</param>
    /// <param name="problem">What is wrong, when it is not.</param>
    public static bool TryParse(string? text, out StickOrder order, [NotNullWhen(false)] out string? problem)
    {
        order = default;
        problem = Problem(text);
        if (problem is not null)
            return false;
        order = Of([.. text!.Select(letter => StickAxes.FromLetter(letter)!.Value)]);
        return true;
    }

    /// <summary>The order in which channel 1 stands for the first axis, and so on.</summary>
    /// <param name="axes">Four different axes.</param>
    /// <exception cref="ArgumentException">Not four different axes.</exception>
    public static StickOrder Of(IReadOnlyList<StickAxis> axes)
    {
        if (axes.Count != ChannelNumber.StickChannels || axes.Distinct().Count() != axes.Count)
            throw new ArgumentException("An order needs four different axes.", nameof(axes));
        var bits = 0;
        for (var i = 0; i < axes.Count; i++)
            bits |= (int)axes[i] << (2 * i);
        return new StickOrder((byte)bits);
    }

    /// <summary>The axis that a stick channel stands for.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The channel is not 1 to 4.</exception>
    public StickAxis AxisOf(ChannelNumber channel)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(channel.Value, 1, nameof(channel));
        ArgumentOutOfRangeException.ThrowIfGreaterThan(channel.Value, ChannelNumber.StickChannels, nameof(channel));
        return (StickAxis)((packed >> (2 * (channel.Value - 1))) & 3);
    }

    /// <summary>The channel that stands for an axis.</summary>
    public ChannelNumber ChannelOf(StickAxis axis)
    {
        var number = 1;
        while (AxisOf(new ChannelNumber(number)) != axis)
            number++;
        return new ChannelNumber(number);
    }

    /// <summary>The letters with a space between them, as they are read out: "T A E R".</summary>
    public string Spelled() => string.Join(' ', ToString().ToCharArray());

    /// <summary>The four letters, such as "TAER".</summary>
    public override string ToString()
    {
        var order = this;
        return new string([.. Enumerable.Range(1, 4).Select(n => order.AxisOf(new ChannelNumber(n)).Letter())]);
    }

    private static string? Problem(string? text)
    {
        if (text is not { Length: ChannelNumber.StickChannels })
            return $"A channel order is four letters such as AETR, not \"{text}\".";
        foreach (var letter in text)
        {
            if (StickAxes.FromLetter(letter) is null)
                return $"\"{letter}\" in \"{text}\" is none of A (roll), E (pitch), T (throttle), R (yaw).";
            if (text.Count(other => other == letter) > 1)
                return $"\"{text}\" has the letter {letter} twice; each of A, E, T, R must stand once.";
        }

        return null;
    }
}
