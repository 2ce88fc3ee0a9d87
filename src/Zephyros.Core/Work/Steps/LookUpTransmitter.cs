using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>What differs between makes of transmitters was looked up in its documentation or its menus.</summary>
public sealed class LookUpTransmitter : TickRule
{
    /// <inheritdoc />
    public override string Id => "transmitter";

    /// <inheritdoc />
    public override int Order => 20;

    /// <inheritdoc />
    public override string Name => "Look up what the transmitter can do";

    /// <inheritdoc />
    public override string Why =>
        "All sums begin with its scale and its limits; a blank transmitter starts with round ones that are nobody's.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.ReadBack;

    /// <inheritdoc />
    public override WorkPlace Place => new(Station.Hands);

    /// <inheritdoc />
    protected override string NotNeeded => "";

    /// <inheritdoc />
    protected override string WordsAre => "what is written down of the transmitter";

    /// <inheritdoc />
    public override IReadOnlyList<Deed> Deeds(SignalPlan plan)
    {
        var t = plan.Setup.Transmitter;
        return
        [
            new(
                "scale",
                $"Look up what {t.Name} sends at the ends of its scale.",
                $"{Percent.Low} to {Percent.High} is {t.Scale.ToMicroseconds(Percent.Low)} to {t.Scale.ToMicroseconds(Percent.High)}.",
                []
            ),
            new(
                "limits",
                "Look up how far its ends go, in which steps, and how many points its curves have.",
                $"Ends up to {Figures.Plain(t.TravelLimit.Value)} % in steps of {Figures.Plain(t.TravelStep.Value)} %; {t.CurvePoints} points; {t.Channels} channels; {(t.ShortNames == 0 ? "names of any length" : $"short names of {t.ShortNames} characters")}.",
                []
            ),
            new(
                "forced",
                "Force a value beyond an end of a channel, and look at what is sent.",
                t.ForcedPastEnds ? "The forced value goes out past the end." : "The end holds the forced value.",
                []
            ),
        ];
    }
}
