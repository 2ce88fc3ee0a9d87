using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Budgets;

/// <summary>Finds a channel on which the signal quality can travel to the goggles, and says how to see that it does.</summary>
/// <remarks>Common practice, no source: channel 8 or lower is safe; the channel must lie within the link's count and nothing
/// else may use it; a receiver that puts it there lets it fall to about 12 when the transmitter goes off.</remarks>
public static class QualityChannels
{
    /// <summary>What is left of the quality that a receiver shows once the transmitter is off.</summary>
    [Figure(
        Station.Air,
        "What stays of the signal quality on a channel once the transmitter is off",
        ProvenanceKind.CommonPractice
    )]
    public static readonly Percent Residue = new(12);

    [Figure(Station.Wire, "Signal quality is safe up to channel", ProvenanceKind.CommonPractice)]
    private const int SafeUpTo = 8;

    [Figure(Station.Air, "A quality display needs at least, in steps of the link", ProvenanceKind.OwnAssumption)]
    private const int FewSteps = 10;

    /// <summary>The channels that nothing uses and that arrive, the advised ones first, the lowest first.</summary>
    public static IReadOnlyList<QualityChoice> Free(Setup setup)
    {
        var carried = SignalPlan.CarriedChannels(setup);
        return
        [
            .. Enumerable
                .Range(1, carried)
                .Select(n => new ChannelNumber(n))
                .Where(n => n.Aux is not null && !Used(setup, n))
                .Select(n => Judge(setup, n))
                .OrderBy(c => !c.Advised)
                .ThenBy(c => c.Channel.Value),
        ];
    }

    /// <summary>What must be seen when the transmitter is switched off, when the receiver puts the quality in.</summary>
    public static string TestByReceiver(Setup setup) =>
        setup.Air.OnLoss == ReceiverLoss.Silent
            ? "Switch the transmitter off, propellers off: the board reports the signal lost and shows no quality. The receiver is silent, so its last value may stay in the picture: the report counts."
            : $"Switch the transmitter off, propellers off: the value must fall at once to about {Residue.Value:0} %. If it stays, the receiver does not put it in.";

    /// <summary>What is seen when the transmitter is switched off, when the transmitter sends the quality back up.</summary>
    public static string TestByTransmitter(Setup setup) =>
        setup.Air.OnLoss switch
        {
            ReceiverLoss.Silent =>
                "Switch the transmitter off, propellers off: the board reports the signal lost; the last value means nothing from then on.",
            ReceiverLoss.Hold =>
                "Switch the transmitter off, propellers off: the value stays as it was, for the receiver holds it. It says nothing about a loss.",
            ReceiverLoss.Preset =>
                "Switch the transmitter off, propellers off: the value jumps to the receiver's preset of that channel, or stays where it has none. It says nothing about a loss.",
        };

    private static bool Used(Setup setup, ChannelNumber number) =>
        setup.Model.Channels.Values.Any(c => c.Number == number)
        || setup.Board.Functions.Values.Any(f => f.Channel == number && f.Kind != FunctionKind.SignalQuality);

    private static QualityChoice Judge(Setup setup, ChannelNumber number)
    {
        string[] against = [.. Against(setup, number)];
        return new QualityChoice(
            number,
            against.Length == 0,
            against.Length > 0 ? against : [$"Free, within the link's count, and {SafeUpTo} or lower."]
        );
    }

    private static IEnumerable<string> Against(Setup setup, ChannelNumber number)
    {
        if (setup.Air.ReservesArmChannel && number.Aux == 1)
            yield return "The link reserves it for arming.";
        if (setup.Air.StepsOn(number.Value) is not LinkSteps.Full and < FewSteps and var steps)
            yield return $"Sent up by the transmitter it has {steps} steps only; the receiver's own value has all.";
        if (number.Value > SafeUpTo)
            yield return $"Higher than {SafeUpTo}: lost when the link or the wire is set to fewer channels.";
    }
}
