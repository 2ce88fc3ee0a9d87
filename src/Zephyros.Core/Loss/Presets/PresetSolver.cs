using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss.Presets;

/// <summary>Works out what a receiver that cannot fall silent should send after a loss: disarmed with room, throttle low with room, levelling
/// and the locator beeper on where their channels allow it, sticks centred, and all else off.</summary>
/// <remarks>Common practice, no source. Every value that the wire can carry within the travel of the transmitter is looked at.</remarks>
public static class PresetSolver
{
    // More room than this is no better; for what arms there is never enough.
    private const double Ample = 60;

    // What matters more: a craft that levels itself, then one that is found, then that nothing else is on.
    private static readonly ImmutableDictionary<FunctionKind, int> On = ImmutableDictionary.CreateRange([
        KeyValuePair.Create(FunctionKind.SelfLevel, 100),
        KeyValuePair.Create(FunctionKind.Beeper, 20),
    ]);

    /// <summary>The presets of a setup.</summary>
    public static PresetAnswer Of(SignalPlan plan)
    {
        var setup = plan.Setup;
        var found = Enumerable
            .Range(1, SignalPlan.CarriedChannels(setup))
            .Where(number => number - 1 != plan.QualityPlace)
            .Select(number => Preset(plan, new ChannelNumber(number)))
            .OfType<Found>()
            .ToArray();
        string[] problems = [.. found.Where(p => p.Problem is not null).Select(p => p.Problem!)];
        PresetRow[] rows = [.. found.Select(p => p.Row)];
        if (problems.Length > 0)
            return new PresetAnswer(rows, problems, null, false);
        var edit = Edit(setup, rows);
        return new PresetAnswer(rows, problems, edit, ArmsAgain(edit?.ApplyTo(setup).Setup ?? setup));
    }

    // Played, not reasoned: what a board asks for before it arms differs.
    private static bool ArmsAgain(Setup setup) =>
        LossPlay.Of(setup, new Percent(-100), fix: false)?.Returns.Any(r => r.Outcome == ReturnOutcome.ArmedAgain)
        == true;

    private static Found? Preset(SignalPlan plan, ChannelNumber channel) =>
        channel.Value <= ChannelNumber.StickChannels ? Stick(plan, channel)
        : Functions(plan.Setup.Board, channel) is { Length: > 0 } functions ? Aux(plan, channel, functions)
        : null;

    private static SetupEdit? Edit(Setup setup, IEnumerable<PresetRow> rows)
    {
        var presets = rows.ToImmutableDictionary(r => r.Channel, r => r.Value);
        var same =
            setup.Air.OnLoss == ReceiverLoss.Preset
            && setup.Air.Presets.Count == presets.Count
            && presets.All(p => setup.Air.Presets.TryGetValue(p.Key, out var now) && now == p.Value);
        return same
            ? null
            : AirEdits.InAir(
                setup,
                "Presets: disarmed, throttle low",
                a => a with { OnLoss = ReceiverLoss.Preset, Presets = presets }
            );
    }

    private static Found Stick(SignalPlan plan, ChannelNumber channel)
    {
        var board = plan.Setup.Board;
        var axis = StickAxes.All.Single(a => board.Map.ChannelOf(a) == channel);
        if (axis != StickAxis.Throttle)
        {
            var centred = Candidates(plan, channel).MinBy(v => board.Scaled(axis, v).ApartFrom(board.Centre).Value);
            return new(Row(plan, channel, centred, $"The {axis.Word()} stick is centred.", []), null);
        }

        var value = Candidates(plan, channel)
            .MaxBy(v => (Math.Min(Ample, Below(v)), -v.ApartFrom(Microseconds.Neutral).Value));
        return new(
            Row(
                plan,
                channel,
                value,
                $"The throttle is low: {board.Scaled(axis, value)}, below {board.ThrottleLow}.",
                []
            ),
            Below(value) < BandRoom.Least.Value
                ? $"Channel {channel.Value}: no value that arrives is low for the board, which asks for less than {board.ThrottleLow}."
                : null
        );

        double Below(Microseconds sent) =>
            (board.ThrottleLow - board.Scaled(axis, sent) - board.WanderOn(channel)).Value;
    }

    private static Found Aux(SignalPlan plan, ChannelNumber channel, BoardFunction[] functions)
    {
        var board = plan.Setup.Board;
        var value = Candidates(plan, channel)
            .MaxBy(v =>
                (
                    Safe(board, channel, functions, v),
                    functions
                        .Where(f => f.Contains(v) == On.ContainsKey(f.Kind))
                        .Sum(f => On.GetValueOrDefault(f.Kind, 1)),
                    functions.Any(Arms) ? Room(board, channel, v) : Math.Min(Ample, Room(board, channel, v)),
                    -v.ApartFrom(Microseconds.Neutral).Value
                )
            );
        BoardFunction[] on = [.. functions.Where(f => f.Contains(value))];
        string[] off = [.. functions.Where(f => !f.Contains(value) && Arms(f)).Select(f => f.Label)];
        string[] does =
        [
            .. off.Length > 0 ? new[] { $"{string.Join(", ", off)} is off" } : [],
            .. on.Length > 0 ? new[] { $"{string.Join(", ", on.Select(f => f.Label))} is on" } : [],
        ];
        return new(
            Row(
                plan,
                channel,
                value,
                does.Length > 0 ? $"{string.Join("; ", does)}." : "All that it switches is off.",
                [
                    .. functions
                        .Where(f => f.Contains(value) != On.ContainsKey(f.Kind))
                        .Select(f => $"{f.Label} cannot be {(f.Contains(value) ? "off" : "on")} as well."),
                ]
            ),
            Safe(board, channel, functions, value)
                ? null
                : $"Channel {channel.Value}: no value that arrives is outside {string.Join(" and ", functions.Where(Arms).Select(f => $"“{f.Label}”"))} with {BandRoom.Least} of room."
        );
    }

    private static PresetRow Row(
        SignalPlan plan,
        ChannelNumber channel,
        Microseconds value,
        string why,
        IReadOnlyList<string> unmet
    ) =>
        new(
            channel,
            plan.ChannelAt(channel)?.Channel.Label ?? "",
            value,
            plan.Setup.Transmitter.Scale.ToPercent(value),
            plan.Wire.ToCount(value, plan.Setup.Wire.Rounding),
            plan.Setup.Air.Presets.TryGetValue(channel, out var now) ? now : null,
            why,
            unmet
        );

    // What the wire can carry within the travel of the transmitter, in steps where the link has few.
    private static IEnumerable<Microseconds> Candidates(SignalPlan plan, ChannelNumber channel)
    {
        var (scale, rounding) = (plan.Setup.Transmitter.Scale, plan.Setup.Wire.Rounding);
        var (first, last) = (
            plan.Wire.ToCount(scale.ToMicroseconds(new Percent(-100)), rounding),
            plan.Wire.ToCount(scale.ToMicroseconds(new Percent(100)), rounding)
        );
        return Enumerable
            .Range(first, last - first + 1)
            .Select(count => plan.OverLink(channel.Value - 1, plan.Wire.ToMicroseconds(count)))
            .Distinct()
            .Select(v => plan.Wire.ToMicroseconds(plan.Wire.ToCount(v, rounding)))
            .Distinct();
    }

    private static BoardFunction[] Functions(FlightBoard board, ChannelNumber channel) =>
        [
            .. board
                .Functions.OrderBy(f => f.Key, StringComparer.Ordinal)
                .Select(f => f.Value)
                .Where(f => f.Channel == channel && f.Kind != FunctionKind.SignalQuality),
        ];

    private static bool Arms(BoardFunction function) =>
        function.Kind is FunctionKind.Arm or FunctionKind.ArmConsent or FunctionKind.SelfRight;

    private static bool Safe(FlightBoard board, ChannelNumber channel, BoardFunction[] functions, Microseconds value) =>
        !functions.Where(Arms).Any(f => f.Contains(value))
        && (!functions.Any(Arms) || Room(board, channel, value) >= BandRoom.Least.Value);

    private static double Room(FlightBoard board, ChannelNumber channel, Microseconds value) =>
        BandRoom.Of(board, channel, value)?.Room.Value ?? Ample;

    // A preset, and why it does not do; null when it does.
    private sealed record Found(PresetRow Row, string? Problem);
}
