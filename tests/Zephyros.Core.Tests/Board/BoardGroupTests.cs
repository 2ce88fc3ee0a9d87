using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Board;

/// <summary>The board's settings as sentences: what nobody touched is quiet, and whatever is touched is told aloud.</summary>
public sealed class BoardGroupTests
{
    private static readonly FlightBoard Untouched = Demo.Wren.Board with
    {
        Alias = "",
        Spans = Demo.Wren.Board.Spans.Clear(),
        Wander = Demo.Wren.Board.Wander.Clear(),
        Centre = Microseconds.Neutral,
        Deadband = default,
        SpanNumbering = SpanNumbering.Axis,
        ActivationLimit = null,
        Guards = new(),
        Loss = new(),
        Functions = Demo.Wren.Board.Functions.Clear(),
    };

    public static TheoryData<string, FlightBoard> Touched =>
        new()
        {
            { "travel", Untouched with { Centre = new(1501) } },
            { "travel", Untouched with { Deadband = new(1) } },
            { "travel", Untouched with { Expo = new(1) } },
            { "travel", Untouched with { ActivationLimit = new(1100) } },
            {
                "travel",
                Untouched with
                {
                    Spans = Untouched.Spans.Add(StickAxis.Yaw, new() { Low = new(1000), High = new(2000) }),
                }
            },
            { BoardGroups.Wander, Untouched with { Wander = Untouched.Wander.Add(new(3), new(2)) } },
            { "arming", Untouched with { Guards = new() { RefusesThrottle = false } } },
            { "arming", Untouched with { Guards = new() { RefusesConnected = false } } },
            { "arming", Untouched with { Guards = new() { TiltLimit = new(180) } } },
            { "arming", Untouched with { Guards = new() { Calibration = new(100) } } },
            { "arming", Untouched with { Guards = new() { RefusalLatches = false } } },
            { "arming", Untouched with { Guards = new() { DisarmsOnlyWhenLow = true } } },
            { "arming", Untouched with { Guards = new() { DisarmsAfter = new(500) } } },
            { "loss", Untouched with { SignalTimeout = new(Untouched.SignalTimeout.Value + 1) } },
            { "loss", Untouched with { Loss = new() { Grace = new(1) } } },
            { "loss", Untouched with { Loss = new() { Procedure = LossProcedure.Land } } },
            { "loss", Untouched with { Loss = new() { LowBefore = new(100) } } },
            {
                "loss",
                Untouched with
                {
                    Loss = new() { Procedure = LossProcedure.ReturnHome, Recovery = FlightRecovery.StickMoved },
                }
            },
            {
                "loss",
                Untouched with
                {
                    Loss = new() { Procedure = LossProcedure.Land, FlownOnly = true },
                }
            },
            { BoardGroups.FunctionGroup, Untouched with { Functions = Demo.Wren.Board.Functions } },
            { BoardGroups.Names, Untouched with { Alias = "Shelf" } },
            { BoardGroups.Names, Untouched with { SpanNumbering = SpanNumbering.Channel } },
        };

    [Theory]
    [MemberData(nameof(Touched))]
    public void What_is_touched_is_said_aloud_in_its_group_and_nowhere_else(string group, FlightBoard board)
    {
        var before = Of(Untouched).SelectMany(g => g.Sentences).ToHashSet();
        var changed = Of(board).Where(g => !g.Sentences.All(before.Contains)).ToArray();
        Assert.Equal(group, Assert.Single(changed).Id);
        var said = changed[0].Sentences.Where(s => !before.Contains(s)).ToArray();
        // How the pilot has it back is said only where something is flown.
        Assert.All(
            said.Where(s => !s.Text.StartsWith("The pilot has it back with", StringComparison.Ordinal)),
            s => Assert.False(s.IsUsual, s.Text)
        );
        Assert.Contains(said, s => !s.IsUsual);
    }

    [Fact]
    public void What_nobody_touched_is_quiet_but_for_what_every_board_has_of_its_own() =>
        Assert.Equal(
            [
                "Sticks are centred at 1500 µs, without a deadband.",
                "Refuses to arm: while the throttle is not below 1015 µs; connected for configuration, until that is unlocked.",
                "A refusal stands until the arm switch was off.",
                "The arm switch disarms at once.",
                "Then it stops the motors.",
                "It has no name of its own.",
                "It names spans by axis.",
            ],
            Of(Untouched).SelectMany(g => g.Sentences).Where(s => s.IsUsual).Select(s => s.Text)
        );

    private static IReadOnlyList<BoardGroup> Of(FlightBoard board) =>
        BoardGroups.Of(board, Demo.Wren.Wire.Format.Describe());
}
