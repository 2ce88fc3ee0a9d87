using Zephyros.Core.Board;
using Zephyros.Core.Goggles;
using Zephyros.Core.Model;
using Zephyros.Core.Return;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Goggles;

/// <summary>What the goggles show, page by page in reading order, and why something of it stays empty.</summary>
public sealed class GogglesPlan
{
    private readonly SignalPlan plan;

    private GogglesPlan(SignalPlan plan, GogglesSettings settings)
    {
        this.plan = plan;
        Settings = settings;
        Signal = plan
            .Setup.Board.Functions.Where(f => f.Value.Kind == FunctionKind.SignalQuality)
            .OrderBy(f => f.Key, StringComparer.Ordinal)
            .Select(f => f.Value)
            .FirstOrDefault();
        Paging = plan
            .Setup.Board.Functions.Where(f => f.Value.Kind == FunctionKind.DisplayPage)
            .OrderBy(f => f.Key, StringComparer.Ordinal)
            .Select(f => f.Value)
            .FirstOrDefault(f => Arrives(f.Channel));
        Lines =
        [
            .. settings
                .Items.OrderBy(i => i.Value.Page)
                .ThenBy(i => i.Value.Row)
                .ThenBy(i => i.Value.Column)
                .ThenBy(i => i.Key, StringComparer.Ordinal)
                .Select(i => Line(i.Key, i.Value)),
        ];
    }

    /// <summary>The settings.</summary>
    public GogglesSettings Settings { get; }

    /// <summary>The items by page, row and column.</summary>
    public IReadOnlyList<GogglesLine> Lines { get; }

    /// <summary>The function that turns the pages, when it is fed; null otherwise.</summary>
    public BoardFunction? Paging { get; }

    /// <summary>The function that reads the signal from a channel; null when there is none.</summary>
    public BoardFunction? Signal { get; }

    /// <summary>The goggles of a setup; null when they are not written down.</summary>
    public static GogglesPlan? Of(SignalPlan plan) =>
        plan.Setup.Goggles is { } settings ? new GogglesPlan(plan, settings) : null;

    /// <summary>What is read from the signal channel instead of what an item says it shows; null where it is that, or is not known.</summary>
    public SensorSubject? CarriesInstead(GogglesItem item)
    {
        if (Signal is null || Carried() is not { } carried)
            return null;
        return (item.Shows, carried) switch
        {
            (GogglesSubject.SignalQuality, SensorSubject.Strength) => carried,
            (GogglesSubject.SignalStrength, SensorSubject.LinkQuality or SensorSubject.DownLinkQuality) => carried,
            _ => null,
        };
    }

    private GogglesLine Line(string id, GogglesItem item)
    {
        var (source, obstacle) = item.Shows is GogglesSubject.SignalQuality or GogglesSubject.SignalStrength
            ? OfSignal()
            : OfBoard(item.Shows);
        if (obstacle is null && item.Page > 1 && Paging is null)
            obstacle = new(
                $"It stands on page {item.Page}, and nothing turns the pages.",
                "/board/functions",
                Station.Board
            );
        return new GogglesLine(id, item, item.Shows.Words(), source, obstacle);
    }

    private (string Source, ReturnObstacle? Obstacle) OfBoard(GogglesSubject shows) =>
        shows.Needs() is { } subject && ReturnPlan.Needs(plan.Setup.Board.Equipment, subject) is { } needed
            ? (
                $"the board's {needed.Words}",
                needed.There
                    ? null
                    : new($"The board has no {needed.Words}.", $"/board/equipment/{needed.Member}", Station.Board)
            )
            : ("the board itself", null);

    private (string Source, ReturnObstacle? Obstacle) OfSignal()
    {
        if (Signal is not { } signal)
            return (
                "a channel",
                new("No function of the board reads the signal from a channel.", "/board/functions", Station.Board)
            );
        var source = $"channel {signal.Channel.Value}";
        return (
            source,
            Arrives(signal.Channel)
                ? null
                : new(
                    $"{signal.Channel} does not come to the board, or nothing feeds it.",
                    "/board/functions",
                    Station.Board
                )
        );
    }

    private bool Arrives(ChannelNumber channel) =>
        channel.Value <= SignalPlan.CarriedChannels(plan.Setup)
        && (plan.ChannelAt(channel) is not null || plan.QualityPlace == channel.Value - 1);

    private SensorSubject? Carried()
    {
        if (plan.QualityPlace == Signal!.Channel.Value - 1)
            return SensorSubject.LinkQuality;
        return plan.ChannelAt(Signal.Channel) is { Channel.Take: SensorSource { Sensor: var sensor } }
            ? plan.Setup.Model.Sensors[sensor].Measures
            : null;
    }
}
