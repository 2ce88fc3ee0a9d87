using Zephyros.Core.Air;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Air;

public sealed class LinkStepsTests
{
    // Worked by hand on the wide scale, 988 to 2012 µs: 2 steps 988 and 2012; 3 steps 988, 1500, 2012; 6 steps 204.8 µs apart.
    [Theory]
    [InlineData(988, 2, 988)]
    [InlineData(1499, 2, 988)]
    [InlineData(1500, 2, 2012)]
    [InlineData(2100, 2, 2012)]
    [InlineData(1500, 3, 1500)]
    [InlineData(1300, 3, 1500)]
    [InlineData(1200, 3, 988)]
    [InlineData(1500, 6, 1602.4)]
    [InlineData(1397, 6, 1397.6)]
    [InlineData(880, 6, 988)]
    public void A_value_goes_to_the_nearest_step(double sent, int steps, double arrives) =>
        Assert.Equal(arrives, LinkSteps.Through(new(sent), steps, PulseScale.Wide).Value, 6);

    [Fact]
    public void Steps_keep_the_order_of_values_and_change_none_twice()
    {
        foreach (var steps in new[] { 2, 3, 6, 64, 1024 })
        {
            var last = double.MinValue;
            for (var sent = 900.0; sent <= 2100; sent += 3.7)
            {
                var through = LinkSteps.Through(new(sent), steps, PulseScale.Narrow);
                Assert.True(through.Value >= last);
                Assert.Equal(through.Value, LinkSteps.Through(through, steps, PulseScale.Narrow).Value, 9);
                last = through.Value;
            }
        }
    }
}
