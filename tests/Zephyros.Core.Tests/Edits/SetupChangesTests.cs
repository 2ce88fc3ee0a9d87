using Zephyros.Core.Edits;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Edits;

/// <summary>What differs between two setups, in words that a pilot knows.</summary>
public sealed class SetupChangesTests
{
    [Theory]
    [InlineData("/craft/name", "Craft, name", "")]
    [InlineData("/board/functions/arm/high", "Board, Arm, high", "µs")]
    [InlineData("/board/guards/tiltLimit", "Board, guards, tilt limit", "°")]
    [InlineData("/board/signalTimeout", "Board, signal timeout", "ms")]
    [InlineData("/board/spans/roll/low", "Board, spans, roll, low", "µs")]
    [InlineData("/model/channels/throttle/take/control", "Model, Throttle, take, control", "")]
    [InlineData("/model/trims/yaw", "Model, yaw", "%")]
    [InlineData("/air/receiver/number", "Link, receiver, number", "")]
    [InlineData("/air/presets/3", "Link, presets, 3", "µs")]
    [InlineData("/transmitter/controls/left-shoulder/start", "Transmitter, Left shoulder, start", "")]
    [InlineData("/nowhere/at-all", "Nowhere, at-all", "")]
    public void Places_are_told_in_words(string pointer, string words, string unit) =>
        Assert.Equal((words, unit), FieldWords.Of(pointer, Demo.Sandpiper));

    [Fact]
    public void What_is_added_changed_and_gone_is_told()
    {
        var after = Demo
            .Plain.WithArm(a => a with { High = new(2000) })
            .InModel(m =>
                m with
                {
                    Channels = m.Channels.Remove("arm"),
                    Trims = m.Trims.SetItem("roll", new Percent(2.5)),
                }
            )
            .WithBoard(b => b with { Guards = b.Guards with { RefusesConnected = false } });
        Assert.Equal(
            [
                ("Board, Arm, high", "2100 µs", "2000 µs"),
                ("Board, guards, refuses connected", "yes", "no"),
                ("Model, Arm", "there", ""),
                ("Model, roll", "", "2.5 %"),
            ],
            SetupChanges.Between(Demo.Plain, after).Select(c => (c.Where, c.Before, c.After)).Order()
        );
        Assert.Empty(SetupChanges.Between(after, after));
    }

    // Whatever is edited is told, and never by a pointer.
    [Fact]
    public void Every_edit_is_told_without_pointers()
    {
        var edits = new RandomEdits(new Random(3));
        for (var i = 0; i < Iterations.Of(100); i++)
        {
            var setup = (i % 3) switch
            {
                0 => Demo.Gannet,
                1 => Demo.Sandpiper,
                _ => Demo.Wren,
            };
            if (edits.Of(setup) is not var (_, changed) || SetupJson.Same(setup, changed))
                continue;
            var told = SetupChanges.Between(setup, changed);
            Assert.NotEmpty(told);
            Assert.All(told, c => Assert.DoesNotContain("/", c.Where, StringComparison.Ordinal));
        }
    }
}
