using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Board;

public sealed class BoardReadingTests
{
    // Bands are half-open, [low, high): from memory. Gannet's throttle is channel 1; it arms on AUX 5.
    [Theory]
    [InlineData(1699.9, false)]
    [InlineData(1700, true)]
    [InlineData(2099.9, true)]
    [InlineData(2100, false)]
    public void A_band_holds_its_low_edge_and_not_its_high_one(double us, bool requested)
    {
        var received = Enumerable.Repeat(Microseconds.Neutral, 16).ToArray();
        received[8] = new Microseconds(us);
        Assert.Equal(requested, Sees(Demo.Gannet.Board, received, b => b.ArmBits));
    }

    [Theory]
    [InlineData(1004.9, true)]
    [InlineData(1005, false)]
    public void The_limit_itself_is_not_low(double us, bool low)
    {
        var received = Enumerable.Repeat(Microseconds.Neutral, 16).ToArray();
        received[0] = new Microseconds(us);
        Assert.Equal(low, Sees(Demo.Gannet.Board, received, _ => BoardView.LowBit));
    }

    [Fact]
    public void A_channel_that_does_not_arrive_asks_for_nothing()
    {
        var board = Demo.Gannet.WithArm(f => f with { Aux = 20, Low = new Microseconds(900) }).Board;
        Assert.False(Sees(board, Enumerable.Repeat(Microseconds.Neutral, 16).ToArray(), b => b.ArmBits));
    }

    [Theory]
    [InlineData(12, true)]
    [InlineData(13, false)]
    public void A_function_may_watch_the_last_channel_that_arrives(int aux, bool active) =>
        Assert.Equal(
            active,
            (Demo.Gannet.Board.Arm!.Value.Value with { Aux = aux, Low = new(1400) }).IsActive([
                .. Enumerable.Repeat(Microseconds.Neutral, 16),
            ])
        );

    private static bool Sees(FlightBoard board, Microseconds[] received, Func<BoardPlan, ulong> bits)
    {
        var plan = new BoardPlan(board);
        return plan.View(received).Has(bits(plan));
    }
}
