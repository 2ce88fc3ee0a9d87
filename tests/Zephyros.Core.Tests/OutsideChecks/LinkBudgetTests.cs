using Zephyros.Core.Air;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.OutsideChecks;

public sealed class LinkBudgetTests
{
    // Published: ITU-R P.525, unrounded from c = 299 792 458 m/s; figures worked out by another library.
    [Theory]
    [InlineData(868, 1, 91.2182)]
    [InlineData(915, 1, 91.6762)]
    [InlineData(2440, 0.1, 80.1956)]
    [InlineData(2440, 1, 100.1956)]
    [InlineData(2440, 10, 120.1956)]
    public void Loss_in_free_space(double megahertz, double kilometres, double decibels) =>
        Assert.Equal(decibels, LinkBudget.FreeSpaceLoss(new(megahertz), new(kilometres)).Value, 4);

    // The rounded form that is printed in P.525: 32.4 + 20 log f + 20 log d, within its rounding.
    [Fact]
    public void The_rounded_form_is_near() =>
        Assert.Equal(
            32.4 + (20 * Math.Log10(2440)) + (20 * Math.Log10(3)),
            LinkBudget.FreeSpaceLoss(new(2440), new(3)).Value,
            0.05
        );

    // From memory: usual sensitivities by packet rate.
    [Theory]
    [InlineData(500, -105)]
    [InlineData(250, -108)]
    [InlineData(150, -112)]
    [InlineData(50, -115)]
    [InlineData(25, -115)]
    public void Usual_sensitivities(double rate, double dBm) => Assert.Equal(dBm, LinkBudget.Usual(new(rate)).Value, 9);

    [Fact]
    public void Warnings_come_where_their_quality_is_reached_and_twice_the_distance_costs_six_decibels()
    {
        var link = Demo.Sandpiper.Air with { PacketRate = new(250), AntennaGains = new(4) };
        var budget = LinkBudget.Of(link);
        Assert.Equal(20, budget.Power.Value, 9);
        Assert.Equal(75, budget.Warning.Quality.Value, 6);
        Assert.Equal(50, budget.Urgent.Quality.Value, 6);
        Assert.Equal(0, budget.Urgent.Margin.Value, 6);
        Assert.True(budget.Warning.Distance.Value < budget.Urgent.Distance.Value);
        // 20 dBm + 4 dB + 108 dBm = 132 dB of loss; at 2440 MHz that is 38.9 km in free space.
        Assert.Equal(38.9, budget.Urgent.Distance.Value, 0.1);
        var farther = LinkBudget.Of(link with { AntennaGains = new(4 + (20 * Math.Log10(2))) });
        Assert.Equal(2 * budget.Urgent.Distance.Value, farther.Urgent.Distance.Value, 6);
        Assert.All(
            budget.Course.Zip(budget.Course.Skip(1)),
            pair => Assert.True(pair.First.Margin.Value > pair.Second.Margin.Value)
        );
    }

    // ITU-R P.525 by hand: 2440 MHz over 1 km lose 32.4478 + 20 log10 2440 = 100.196 dB. 20 dB more are a tenth of the distance, and
    // doubling it costs 6.02 dB; a range check at a tenth of the computed distance gives those 20 dB back.
    [Fact]
    public void What_a_range_check_measures_shortens_every_distance_alike()
    {
        var free = Demo.Sandpiper.Air with { Frequency = new(2440), Allowance = null };
        Assert.Equal(100.196, LinkBudget.FreeSpaceLoss(new(2440), new(1)).Value, 3);
        var margin = LinkBudget.MarginAt(new Percent(75));
        var computed = LinkBudget.Reach(free, margin);
        var tenth = new Kilometres(computed.Value / 10);
        Assert.Equal(20, LinkBudget.AllowanceOf(free, margin, tenth).Value, 9);
        var measured = free with { Allowance = new(20) };
        Assert.Equal(tenth.Value, LinkBudget.Reach(measured, margin).Value, 9);
        Assert.Equal(75, LinkBudget.Point(measured, tenth).Quality.Value, 6);
        Assert.Equal(tenth.Value, LinkBudget.PracticalReach(free, margin).Value, 9);
        Assert.Equal(tenth.Value, LinkBudget.PracticalReach(measured, margin).Value, 9);
        Assert.Equal(0, LinkBudget.AllowanceOf(free, margin, new(computed.Value * 2)).Value);
        Assert.Equal(
            tenth.Value / 2,
            LinkBudget.Reach(free with { Allowance = new(20 + 20 * Math.Log10(2)) }, margin).Value,
            9
        );
    }
}
