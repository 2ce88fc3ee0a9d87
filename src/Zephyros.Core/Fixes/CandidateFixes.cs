using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Findings;
using Zephyros.Core.Hands;
using Zephyros.Core.Loss.Presets;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Controls;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Fixes;

/// <summary>Changes that might keep a promise: the fixes of all findings, and settings of receiver and board that the trade advises.
/// Whether they do is for the proof to say.</summary>
internal static class CandidateFixes
{
    /// <summary>All of them; each changes something.</summary>
    public static IEnumerable<(string Id, string Effect, SetupEdit Edit)> Of(Setup setup)
    {
        foreach (var finding in Examination.Of(setup).Where(f => f.Justification is null))
        foreach (var fix in finding.Fixes)
            yield return ($"{finding.Key}/{fix.Id}", fix.Effect, fix.Edit);
        foreach (var (id, title, effect, after) in Settings(setup))
            if (after != setup)
                yield return (id, effect, SetupEdit.Between(title, setup, after));
        var plan = SignalPlan.Compile(setup);
        if (setup.Air.OnLoss == ReceiverLoss.Preset && PresetSolver.Of(plan).Edit is { } presets)
            yield return (
                "presets",
                "Presets that disarm with room and keep the throttle low. Set them on the receiver too, and test them.",
                presets
            );
        foreach (var (id, function) in setup.Board.Functions.OrderBy(f => f.Key, StringComparer.Ordinal))
            if (AsPlanned(plan, function) is var (low, high))
                yield return (
                    $"as-planned/{id}",
                    $"{function.Label} is on in the positions planned for it; the edges lie midway to the next ones.",
                    BoardEdits.MoveBand(setup, id, low, high)
                );
        foreach (var (id, held) in setup.Model.Overrides.OrderBy(o => o.Key, StringComparer.Ordinal))
            if (LatchedUntilLow(setup, id, held) is { } after)
                yield return (
                    $"latch/{id}",
                    "What forces the throttle down lets go only after the throttle stick was low.",
                    SetupEdit.Between($"{held.Label} holds until the throttle is low", setup, after)
                );
    }

    private static IEnumerable<(string Id, string Title, string Effect, Setup After)> Settings(Setup setup)
    {
        yield return (
            "silent",
            "Receiver falls silent on a loss",
            "The board then learns of a lost signal and runs its own procedure. Set it on the receiver too, and test it.",
            setup with
            {
                Air = setup.Air with { OnLoss = ReceiverLoss.Silent },
            }
        );
        if (setup.Air.Telemetry)
            yield return (
                "announce-by-report",
                "The board's own report sets off the announcements",
                "What the board does is announced when telemetry brings its report, and a lost signal when telemetry stays away.",
                ReportedChanges.Announce(setup)
            );
        var (loss, limit) = (setup.Board.Loss, setup.Limits.LossNoticedWithin);
        if (loss.Procedure != LossProcedure.Stop)
            yield return (
                "flown-only",
                "Only a craft that has flown lands by itself",
                "On a loss before the craft has been at thrust since it was armed, the motors just stop.",
                setup with
                {
                    Board = setup.Board with { Loss = loss with { FlownOnly = true } },
                }
            );
        var timeout = setup.Board.SignalTimeout.AtMost(limit);
        yield return (
            "in-time",
            "Notice a loss within the limit",
            "The board waits for frames, and then for their return, no longer than the limit allows.",
            setup with
            {
                Board = setup.Board with
                {
                    SignalTimeout = timeout,
                    Loss = loss with { Grace = loss.Grace.AtMost(limit - timeout) },
                },
            }
        );
        var guards = setup.Board.Guards;
        foreach (
            var (id, title, effect, changed) in new[]
            {
                (
                    "refusal-latches",
                    "A refusal stands until the switch was off",
                    "Nothing arms later on by itself.",
                    guards with
                    {
                        RefusalLatches = true,
                    }
                ),
                (
                    "guard-throttle",
                    "Refuse to arm with the throttle up",
                    "The board arms only while it sees the throttle low.",
                    guards with
                    {
                        RefusesThrottle = true,
                    }
                ),
                (
                    "disarm-at-once",
                    "Disarm at once",
                    "The arm switch stops the motors whatever the throttle does.",
                    guards with
                    {
                        DisarmsOnlyWhenLow = false,
                    }
                ),
            }
        )
            yield return (id, title, effect, setup with { Board = setup.Board with { Guards = changed } });
        foreach (var (id, function) in setup.Board.Functions.OrderBy(f => f.Key, StringComparer.Ordinal))
            if (function.Kind is FunctionKind.ThrottleCut or FunctionKind.ZeroThrottleStabilisation)
                yield return (
                    $"without/{id}",
                    $"Board without {function.Label}",
                    "The function is taken off the board; its switch no longer starts a motor.",
                    Removals.WithoutFunction(setup, id)
                );
    }

    // The band that holds what the planned positions send and nothing else that the control sends.
    private static (Microseconds Low, Microseconds High)? AsPlanned(SignalPlan plan, BoardFunction function)
    {
        if (function.Planned.IsEmpty || plan.ChannelAt(function.Channel) is not { } channel)
            return null;
        if (channel.Channel.Number.Value > SignalPlan.CarriedChannels(plan.Setup))
            return null;
        var control = plan.Setup.Transmitter.Controls[function.Control];
        var cells = ControlRows
            .Row(plan, function.Control, control, channel)
            .Cells.ToLookup(c => function.Planned.Contains((int)c.Setting), c => c.Received);
        var band = OffCentre(BandFit.Around([.. cells[true]], [.. cells[false]]), [.. cells[true]]);
        return band == (function.Low, function.High) ? null : band;
    }

    // A channel that nothing feeds stands at the exact centre, and must not switch anything on.
    private static (Microseconds Low, Microseconds High)? OffCentre(
        (Microseconds Low, Microseconds High)? band,
        IReadOnlyList<Microseconds> inside
    )
    {
        var centre = Microseconds.Neutral.Value;
        if (band is not var (low, high) || low.Value > centre || high.Value <= centre)
            return band;
        var above = new Microseconds(centre + 25);
        if (inside.All(v => v >= above))
            return (above, high);
        return inside.All(v => v.Value < centre) ? (low, Microseconds.Neutral) : band;
    }

    // The override waits for a latch that its condition sets and a low throttle clears.
    private static Setup? LatchedUntilLow(Setup setup, string id, Override held)
    {
        if (!held.Enabled || held.Value.Value > -90 || setup.Transmitter.StickOf(StickAxis.Throttle) is not { } stick)
            return null;
        var condition = FreeId.Of($"{id}-held", setup.Model.Conditions.ContainsKey);
        var on = new HoldsTest { Condition = held.When };
        var low = new CompareTest
        {
            Value = new ControlSource { Control = stick },
            Relation = Relation.Below,
            Limit = setup.Transmitter.ThrottleLow,
        };
        var latch = new LatchTest { Set = [on], Clear = [new AllTest { Of = [new NotTest { Of = [on] }, low] }] };
        return setup with
        {
            Model = setup.Model with
            {
                Conditions = setup.Model.Conditions.Add(
                    condition,
                    new Condition { Label = $"{held.Label[..Math.Min(held.Label.Length, 30)]} held", Test = latch }
                ),
                Overrides = setup.Model.Overrides.SetItem(id, held with { When = condition }),
            },
        };
    }
}
