using Zephyros.Core.Air;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Budgets;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Path;

public sealed class QualityChannelsTests
{
    [Fact]
    public void The_lowest_free_channel_up_to_eight_is_advised_first()
    {
        // Channels 1 to 7 are used, the link has 12.
        var choices = QualityChannels.Free(Demo.Plain);
        Assert.Equal([8, 9, 10, 11, 12], choices.Select(c => c.Channel.Value));
        Assert.Equal([true, false, false, false, false], choices.Select(c => c.Advised));
        var stepped = Demo.Plain.WithAir(a => a with { ChannelSteps = a.ChannelSteps.Add(new(8), 6) });
        Assert.Contains("6 steps", QualityChannels.Free(stepped)[0].Reasons[0], StringComparison.Ordinal);
    }

    // Common practice, no source: scale 200 %, shift -100: 0 to -100, 50 to 0, 91 to +82.
    [Theory]
    [InlineData(0, 988)]
    [InlineData(50, 1500)]
    [InlineData(91, 1919.84)]
    public void What_the_transmitter_sends_back_up_uses_the_whole_travel(double quality, double microseconds)
    {
        var setup = Demo.Plain.InModel(m => m with { Sensors = Demo.Sandpiper.Model.Sensors });
        var sent = QualityEdits.ByTransmitter(setup, new ChannelNumber(8), "quality").ApplyTo(setup).Setup!;
        var plan = SignalPlan.Compile(sent);
        var values = plan.CreateValues();
        values.Readings[plan.Model.Sensors.Select(s => s.Key).ToList().IndexOf("quality")] = new Reading(quality);
        plan.Settle(values);
        Assert.Equal(microseconds, values.Sent[7].Value, 6);
        Assert.Equal(4, sent.Board.Functions["quality"].Aux);
    }

    [Fact]
    public void Only_what_the_receiver_puts_in_tells_of_a_loss()
    {
        foreach (var loss in Enum.GetValues<ReceiverLoss>())
        {
            var setup = Demo.Plain.WithAir(a => a with { OnLoss = loss });
            Assert.Equal(
                loss != ReceiverLoss.Silent,
                QualityChannels.TestByReceiver(setup).Contains("fall at once", StringComparison.Ordinal)
            );
            Assert.Equal(
                loss != ReceiverLoss.Silent,
                QualityChannels.TestByTransmitter(setup).Contains("nothing about a loss", StringComparison.Ordinal)
            );
        }
    }
}
