using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Hands;

public sealed class ControlTests
{
    private static readonly SwitchControl Three = (SwitchControl)Demo.Plain.Transmitter.Controls["left-front-inner"];

    // Common practice, no source: two positions give -100/+100, three give -100/0/+100.
    [Theory]
    [InlineData("left-shoulder", 1, -100)]
    [InlineData("left-shoulder", 2, 100)]
    [InlineData("left-front-inner", 1, -100)]
    [InlineData("left-front-inner", 2, 0)]
    [InlineData("left-front-inner", 3, 100)]
    [InlineData("left-button", 0, -100)]
    [InlineData("left-button", 1, 100)]
    [InlineData("left-dial", -33, -33)]
    [InlineData("throttle", 40, 40)]
    public void Each_kind_of_control_reads_what_its_setting_means(string id, double setting, double percent) =>
        Assert.Equal(new Percent(percent), Demo.Plain.Transmitter.Controls[id].Read(setting));

    [Fact]
    public void Positions_are_named_from_the_safe_end()
    {
        Assert.Equal(["safe", "mid", "far"], Three.NamedPositions.Select(p => p.Name));
        var turned = Three with { Safe = 3, Start = 3 };
        Assert.Equal(
            [(3.0, "safe"), (2.0, "mid"), (1.0, "far")],
            turned.NamedPositions.Select(p => (p.Setting, p.Name))
        );
        Assert.Equal((3.0, Percent.High), (turned.StartSetting, turned.StartValue));
    }

    [Fact]
    public void An_alias_is_shown_first()
    {
        Assert.Equal("Left front, inner", Three.Name);
        Assert.Equal("Flaps", (Three with { Alias = "Flaps" }).Name);
    }

    [Fact]
    public void Controls_are_listed_where_the_fingers_find_them()
    {
        var listed = Demo.Plain.Transmitter.Listed.Select(c => c.Key).ToArray();
        Assert.Equal(["roll", "pitch", "throttle", "yaw"], listed[..4]);
        Assert.Equal(["left-shoulder", "left-front-inner", "left-front-outer"], listed[4..7]);
        Assert.Equal(["left-dial", "right-dial", "left-button", "right-button"], listed[^4..]);
    }
}
