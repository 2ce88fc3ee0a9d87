using Zephyros.Core.Model;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Model;

public sealed class SpeechTests
{
    // As English is read aloud.
    [Theory]
    [InlineData("Battery low", 2)]
    [InlineData("Battery 14.2 volts", 5)]
    [InlineData("0 V", 2)]
    [InlineData("21 percent", 3)]
    [InlineData("100 metres", 3)]
    [InlineData("1234 milliampere hours", 9)]
    [InlineData("minus 12.25 m", 6)]
    [InlineData("  two   words ", 2)]
    [InlineData("", 0)]
    [InlineData("99999999999999999999", 1)]
    [InlineData("1.2.3 CH7 45%", 4)]
    public void Words_are_counted_as_they_are_spoken(string text, int words)
    {
        Assert.Equal(words, SpeechTime.WordsIn(text));
        Assert.Equal(new Milliseconds(words * 300), SpeechTime.Of(text, new(300)));
    }

    [Fact]
    public void Alarms_come_first_then_notices_changes_and_values()
    {
        var model = Demo.Sandpiper.Model;
        var graph = ModelGraph.Of(model);
        SpeechRank Rank(string id) => SpeechRanks.Of(graph, model.Announcements[id]);
        Assert.Equal((SpeechRank.Alarm, SpeechRank.Alarm), (Rank("battery"), Rank("signal-lost")));
        Assert.Equal(
            (SpeechRank.Notice, SpeechRank.Change, SpeechRank.Change),
            (Rank("limiter"), Rank("armed"), Rank("signal-back"))
        );
        var asked = model.Announcements["limiter"] with { Value = new SpokenValue { Sensor = "voltage" } };
        Assert.Equal(SpeechRank.Value, SpeechRanks.Of(graph, asked));
    }

    [Fact]
    public void An_announcement_takes_as_long_as_its_longest_reading()
    {
        var made = Demo.Sandpiper.Model.Announcements["battery"];
        // Battery, twenty-four, point, six, volts.
        Assert.Equal(new Milliseconds(6 * 300), SpeechTime.Longest(Demo.Sandpiper.Model, made, new(300)));
        var toned = made with { Tone = Tone.Low };
        Assert.Equal(
            new Milliseconds((6 * 300) + ToneSweep.Of(Tone.Low).Length.Value),
            SpeechTime.Longest(Demo.Sandpiper.Model, toned, new(300))
        );
    }
}
