using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Board;

public sealed class BandFitTests
{
    // Worked by hand: midway to the neighbours, on steps of 25 µs; 900 and 2100 where there is no neighbour.
    [Theory]
    [InlineData("988", "1500,2012", "900..1250")]
    [InlineData("1500", "988,2012", "1250..1750")]
    [InlineData("2012", "988,1500", "1750..2100")]
    [InlineData("1500,2012", "988", "1250..2100")]
    [InlineData("988,2012", "1500", "")]
    [InlineData("1510", "1505", "")]
    [InlineData("1500", "1500", "")]
    [InlineData("1510", "1500", "")]
    [InlineData("1500", "1510", "")]
    [InlineData("1490", "1500", "900..1500")]
    [InlineData("880", "", "875..2100")]
    // A band ends before its upper edge.
    [InlineData("2099", "", "900..2100")]
    [InlineData("2100", "", "900..2125")]
    [InlineData("2110", "1500", "1800..2125")]
    public void The_edges_lie_midway_to_what_must_stay_out(string inside, string outside, string expected)
    {
        var band = BandFit.Around(Values(inside), Values(outside));
        Assert.Equal(expected, band is var (low, high) ? $"{low.Value}..{high.Value}" : "");
    }

    private static Microseconds[] Values(string text) =>
        [
            .. text.Split(',', StringSplitOptions.RemoveEmptyEntries)
                .Select(v => new Microseconds(int.Parse(v, System.Globalization.CultureInfo.InvariantCulture))),
        ];
}
