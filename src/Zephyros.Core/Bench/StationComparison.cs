using Zephyros.Core.Air;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>Compares every channel at three places: what the model sends, what the wire carries, what the board shows.</summary>
/// <param name="Plan">The setup.</param>
/// <param name="Sent">What the model sends, channel 1 first.</param>
/// <param name="Wire">What the receiver last put on the wire; null before the first frame.</param>
/// <param name="Radio">True while packets get through.</param>
/// <param name="Lossy">True when single packets may be lost on the way.</param>
/// <param name="Signal">True while the board sees good frames.</param>
internal sealed record StationComparison(
    SignalPlan Plan,
    IReadOnlyList<Microseconds> Sent,
    IReadOnlyList<Microseconds>? Wire,
    bool Radio,
    bool Lossy,
    bool Signal
)
{
    /// <summary>Every channel that the model feeds or the board looks at, by number.</summary>
    public IReadOnlyList<ComparedChannel> Channels() =>
        [
            .. Enumerable
                .Range(1, Sent.Count)
                .Select(n => Of(new ChannelNumber(n)))
                .Where(t => t.Carries.Length > 0 || t.Shown.Length > 0),
        ];

    private ComparedChannel Of(ChannelNumber number)
    {
        var place = number.Value - 1;
        var board = Plan.Setup.Board;
        var fed = Plan.ChannelAt(number);
        StickAxis? axis = number.Aux is null ? board.Map.AxisOf(number) : null;
        var watching = board.Functions.Values.Where(f => f.Channel == number).Select(f => f.Label);
        Microseconds? model = fed is null ? null : Sent[place];
        Microseconds? wire = Wire is { } frame && place < frame.Count ? frame[place] : null;
        Microseconds? shown =
            wire is not { } arrived ? null
            : axis is { } bar ? board.Scaled(bar, arrived)
            : arrived;
        var (parts, why) = Parting(number, fed, axis, model, wire, shown);
        return new ComparedChannel(
            number,
            fed?.Channel.Label ?? "",
            axis is { } read ? read.Word() : string.Join(", ", watching.Order(StringComparer.Ordinal)),
            model,
            wire,
            shown,
            parts,
            why
        );
    }

    private (Station? Parts, string Why) Parting(
        ChannelNumber number,
        PlannedChannel? fed,
        StickAxis? axis,
        Microseconds? model,
        Microseconds? wire,
        Microseconds? shown
    )
    {
        if (wire is not { } carried)
            return (Station.Wire, "No frame has come yet.");
        if (!Signal)
            return (Station.Wire, "No good frames arrive; the board shows what came last.");
        if (model is { } sent && Differ(sent, carried, WireStep))
            return (Station.Air, OnTheAir(number));
        if (axis is not { } bar)
            return (null, "");
        if (
            fed is not null
            && ChannelOrder.StickOn(Plan.Setup.Model, Plan.Setup.Transmitter, number) is { } stick
            && stick != bar
        )
            return (Station.Board, $"The model sends {stick.Word()} here, and the board takes it for {bar.Word()}.");
        return
            shown is { } scaled && Differ(scaled, carried, 0.5) && Plan.Setup.Board.Spans.TryGetValue(bar, out var span)
            ? (Station.Board, $"The board scales its span {span.Low.Value:0} to {span.High} to 1000 to 2000.")
            : (null, "");
    }

    private string OnTheAir(ChannelNumber number)
    {
        if (!Radio && Plan.QualityPlace != number.Value - 1)
            return Plan.Setup.Air.OnLoss == ReceiverLoss.Preset
                ? "No packets arrive: the receiver sends its presets."
                : "No packets arrive: the receiver repeats the last ones.";
        return LinkEffect.Of(Plan, number) is { Length: > 0 } planned ? planned
            : Lossy ? "Packets are lost: this one is older."
            : "It is on its way: the next frame brings it.";
    }

    private double WireStep => Plan.Wire.Step.Value + 0.01;

    private static bool Differ(Microseconds one, Microseconds other, double by) => one.ApartFrom(other).Value > by;
}
