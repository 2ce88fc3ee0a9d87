using Zephyros.Core.Captures;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Measure;

public sealed class RecordedWireTests
{
    private static readonly CaptureVerdict Nothing = new()
    {
        Format = null,
        Title = "",
        Notes = [],
    };

    // Within a quarter of the period that the setup says, to either side.
    [Theory]
    [InlineData(8, 6, true)]
    [InlineData(8, 5.9, false)]
    [InlineData(8, 10, true)]
    [InlineData(8, 10.1, false)]
    public void A_frame_interval_that_is_another_is_said(double says, double comes, bool same)
    {
        var setup = Demo.Plain with { Wire = Demo.Plain.Wire with { FramePeriod = new(says) } };
        var wire = new RecordedWire(
            setup,
            Nothing with
            {
                Format = setup.Wire.Format,
                Interval = new Milliseconds(comes),
            }
        );
        Assert.Equal(same, wire.Differences.Count == 0);
        Assert.True(wire.Fits);
        Assert.Null(wire.Edit);
    }

    [Fact]
    public void Another_format_is_said_and_can_be_written_down()
    {
        var wire = new RecordedWire(Demo.Plain, Nothing with { Format = WireFormat.Duplex, Interval = new(4) });
        Assert.Single(wire.Differences);
        Assert.False(wire.Fits);
        var after = wire.Edit!.ApplyTo(Demo.Plain).Setup!.Wire;
        Assert.Equal((WireFormat.Duplex, new Milliseconds(4)), (after.Format, after.FramePeriod));
    }

    [Fact]
    public void What_is_upside_down_or_was_not_recognised_does_not_fit()
    {
        Assert.False(
            new RecordedWire(Demo.Plain, Nothing with { Format = Demo.Plain.Wire.Format, IsFlipped = true }).Fits
        );
        var none = new RecordedWire(Demo.Plain, Nothing);
        Assert.False(none.Fits);
        Assert.Empty(none.Differences);
        Assert.Null(none.Edit);
    }
}
