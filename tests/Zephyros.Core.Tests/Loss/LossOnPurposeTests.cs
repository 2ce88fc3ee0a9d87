using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Loss;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Loss;

/// <summary>A position that runs the loss on purpose, beside the real one.</summary>
public sealed class LossOnPurposeTests
{
    // The board runs the same procedure; a receiver that goes on sending is what makes the difference.
    [Fact]
    public void It_does_what_a_real_loss_does_where_the_receiver_falls_silent()
    {
        var random = new Random(7);
        var silent = 0;
        for (var i = 0; i < Iterations.Of(60); i++)
        {
            var setup = With(LossSetups.Next(random));
            if (LossPlay.Of(setup, new Percent(random.Next(-40, 101)), random.Next(2) == 0) is not { } play)
                continue;
            var own = Assert.Single(play.With(Core.Craft.FlightAtLoss.Usual).OnPurpose);
            if (setup.Air.OnLoss == ReceiverLoss.Silent)
                Assert.True(own.Same, $"{i}: {string.Join(" ", own.Words)}");
            if (setup.Air.OnLoss == ReceiverLoss.Hold)
                Assert.False(own.Same, $"{i}: {string.Join(" ", own.Words)}");
            silent += setup.Air.OnLoss == ReceiverLoss.Silent ? 1 : 0;
        }

        Assert.True(silent > 10);
    }

    [Fact]
    public void A_position_that_does_not_reach_its_band_is_told()
    {
        var setup = With(Demo.Plain);
        var (id, function) = setup.Board.Functions.Single(f => f.Value.Kind == FunctionKind.LossProcedure);
        var deaf = setup.WithBoard(b =>
            b with
            {
                Functions = b.Functions.SetItem(id, function with { Low = new(2075), High = new(2100) }),
            }
        );
        var own = Assert.Single(
            LossPlay.Of(deaf, new Percent(0), fix: false)!.With(Core.Craft.FlightAtLoss.Usual).OnPurpose
        );
        Assert.False(own.Same);
        Assert.StartsWith("No position", own.Words[0], StringComparison.Ordinal);
    }

    // A free switch of two positions, on the first channel that is free.
    private static Setup With(Setup setup)
    {
        var used = setup
            .Model.Channels.Values.Select(c => c.Number.Value)
            .Concat(setup.Board.Functions.Values.Select(f => f.Channel.Value))
            .ToHashSet();
        var aux = Enumerable.Range(1, 8).First(a => !used.Contains(ChannelNumber.FromAux(a).Value));
        var fed = BoardEdits.BeepWith(setup, "left-back-switch", aux).ApplyTo(setup).Setup!;
        var (id, made) = fed.Board.Functions.Single(f => f.Value.Aux == aux);
        return fed.WithBoard(b =>
            b with
            {
                Functions = b.Functions.SetItem(id, made with { Kind = FunctionKind.LossProcedure, Label = "Rescue" }),
            }
        );
    }
}
