using Zephyros.Core.Air;
using Zephyros.Core.Captures.Losses;
using Zephyros.Core.Edits;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Measure.Routines;

/// <summary>What a receiver did on a recorded loss of the signal, beside what a setup says that it does.</summary>
/// <param name="setup">The setup.</param>
/// <param name="format">The format of the recording.</param>
/// <param name="loss">The loss in it.</param>
public sealed class LossBesidePlan(Setup setup, WireFormat format, RecordedLoss loss)
{
    // The receiver's time is written down so finely, in milliseconds.
    private const double Step = 10;

    // What a setup takes for it, in milliseconds.
    private const double Least = 100;
    private const double Most = 10_000;

    private readonly WireDescriptor wire = format.Describe();

    /// <summary>What the setup would say of such a receiver. Frames that say that the signal is lost are none for a board.</summary>
    public ReceiverLoss OnLoss =>
        loss.Flagged
            ? ReceiverLoss.Silent
            : loss.Manner switch
            {
                LossManner.Silent => ReceiverLoss.Silent,
                LossManner.Held => ReceiverLoss.Hold,
                LossManner.Presets => ReceiverLoss.Preset,
            };

    /// <summary>What it did, in a sentence.</summary>
    public string Title =>
        loss.Manner switch
        {
            LossManner.Silent => "The receiver fell silent",
            LossManner.Held when loss.Flagged =>
                "The receiver held the last values, and its frames said that the signal is lost",
            LossManner.Held => "The receiver held the last values",
            LossManner.Presets when loss.Flagged =>
                "The receiver sent other values, and its frames said that the signal is lost",
            LossManner.Presets => "The receiver sent presets",
        };

    /// <summary>What was measured and what differs from the setup, a sentence each.</summary>
    public IReadOnlyList<string> Words =>
        [
            Measured(),
            .. loss.Delay is { Value: < Least or > Most }
                ? new[]
                {
                    $"A setup takes {new Milliseconds(Least)} to {new Milliseconds(Most).Words} for it: what is written down is the nearest of these.",
                }
                : [],
            .. loss.Manner == LossManner.Held && !loss.Flagged
                ? new[]
                {
                    "That it held is so if the stick was kept moving all the time: a stick that rests looks the same. The board never learns of such a loss.",
                }
                : [],
            .. OnLoss != setup.Air.OnLoss ? new[] { $"The setup says that it {Says(setup.Air.OnLoss)}." } : [],
            .. Presets().Where(p => !Same(p)).Select(Differs),
            .. Contradicted()
                .Select(p => $"Channel {p.Key.Value} stayed at {p.Value}; the setup says {setup.Air.Presets[p.Key]}."),
            .. OneWire && loss.Manner == LossManner.Presets
                ? new[]
                {
                    $"The wire went to {wire.ToMicroseconds(loss.Presets.Values.First())}. Which channel that is the recording does not say: write it down yourself.",
                }
                : [],
        ];

    /// <summary>True when the setup says the same, as far as it was measured.</summary>
    public bool Fits => Edit is null;

    /// <summary>True when all that the setup says of it was measured: how long after the last packet, and whose presets they are.</summary>
    public bool Judges =>
        OnLoss == ReceiverLoss.Hold || (loss.Delay is not null && !(OneWire && OnLoss == ReceiverLoss.Preset));

    /// <summary>Takes over what was recorded; null when the setup says the same. Of a channel that did not go to its preset the last value is
    /// taken to be kept.</summary>
    public SetupEdit? Edit
    {
        get
        {
            var air = setup.Air with
            {
                OnLoss = OnLoss,
                GivesUpAfter = Rounded ?? setup.Air.GivesUpAfter,
                Presets =
                    OnLoss == ReceiverLoss.Preset
                        ? setup.Air.Presets.RemoveRange(Contradicted().Select(p => p.Key)).SetItems(Presets())
                        : setup.Air.Presets,
            };
            return
                air.OnLoss == setup.Air.OnLoss && Near(air.GivesUpAfter) && Presets().All(Same) && !Contradicted().Any()
                ? null
                : AirEdits.InAir(
                    setup,
                    Rounded is { } after
                        ? $"The receiver as recorded: {Says(OnLoss)} after {after}"
                        : $"The receiver as recorded: {Says(OnLoss)}",
                    _ => air
                );
        }
    }

    // Whose wire it is the recording does not say.
    private bool OneWire => format == WireFormat.SeparatePulses;

    private Milliseconds? Rounded =>
        loss.Delay is { Value: var delay }
            ? new Milliseconds(Math.Clamp(Math.Round(delay / Step) * Step, Least, Most))
            : null;

    // As near as it was measured.
    private bool Near(Milliseconds? after) =>
        after is not { } measured
        || (
            setup.Air.GivesUpAfter is { } written
            && measured.ApartFrom(written).Value <= Math.Max(Step, loss.Within.Value + setup.Wire.FramePeriod.Value)
        );

    private string Measured() =>
        loss switch
        {
            { Delay: { } delay } =>
                $"{Figures.Plain(delay.Value, 0)} ms after the last fresh values, measured to {Figures.Plain(loss.Within.Value, 0)} ms; {Written()}.",
            { GivesUp: null } =>
                $"Nothing moved for {Figures.Plain((loss.Ends - loss.LastFresh!.Value).Value / 1000, 2)} s from {At(loss.LastFresh.Value)} on, and frames went on.",
            _ =>
                $"At {At(loss.GivesUp!.Value)}. How long after the last packet cannot be told: nothing moved before. Keep a stick moving, and record it again.",
        };

    private string Written() =>
        setup.Air.GivesUpAfter is { } after ? $"the setup says {after}" : "the setup does not say";

    private static string At(Milliseconds time) => $"{Figures.Plain(time.Value / 1000, 3)} s";

    private static string Says(ReceiverLoss receiver) =>
        receiver switch
        {
            ReceiverLoss.Silent => "falls silent",
            ReceiverLoss.Hold => "holds the last values",
            ReceiverLoss.Preset => "sends presets",
        };

    private IEnumerable<KeyValuePair<ChannelNumber, Microseconds>> Presets() => Told(loss.Presets);

    // Those that stayed where they were, elsewhere than where the setup has them go.
    private IEnumerable<KeyValuePair<ChannelNumber, Microseconds>> Contradicted() =>
        Told(loss.Kept).Where(p => setup.Air.Presets.ContainsKey(p.Key) && !Same(p));

    private IEnumerable<KeyValuePair<ChannelNumber, Microseconds>> Told(
        IReadOnlyDictionary<ChannelNumber, int> counts
    ) =>
        OnLoss == ReceiverLoss.Preset && !OneWire
            ? counts
                .Where(p => p.Key.Value <= setup.Air.Channels)
                .OrderBy(p => p.Key.Value)
                .Select(p => KeyValuePair.Create(p.Key, wire.ToMicroseconds(p.Value)))
            : [];

    private bool Same(KeyValuePair<ChannelNumber, Microseconds> preset) =>
        setup.Air.Presets.TryGetValue(preset.Key, out var written)
        && written.ApartFrom(preset.Value).Value <= wire.Step.Value;

    private string Differs(KeyValuePair<ChannelNumber, Microseconds> preset) =>
        $"Channel {preset.Key.Value} went to {preset.Value}; the setup says {(setup.Air.Presets.TryGetValue(preset.Key, out var written) ? written.ToString() : "that it keeps its last value")}.";
}
