using CsCheck;
using Zephyros.Core.Model.Running.Ranges;

namespace Zephyros.Core.Tests.Model;

/// <summary>The proof works on ranges: whatever values lie in the ranges, what becomes of them lies in what becomes of the ranges.</summary>
public sealed class ValueRangeTests
{
    private static readonly Gen<(ValueRange Range, double Inside)> Ranges =
        from one in Gen.Double[-250, 250]
        from other in Gen.Frequency((1, Gen.Const(one)), (5, Gen.Double[-250, 250]))
        from share in Gen.Double[0, 1]
        from example in Gen.Double[0, 1]
        let low = Math.Min(one, other)
        let high = Math.Max(one, other)
        select (
            new ValueRange(Math.Clamp(low + (example * (high - low)), low, high), low, high, 1),
            Math.Clamp(low + (share * (high - low)), low, high)
        );

    private static readonly Gen<double> Factors = Gen.Frequency((1, Gen.Const(0.0)), (6, Gen.Double[-3, 3]));

    [Fact]
    public void Nothing_leaves_its_range() =>
        Gen.Select(Ranges, Ranges, Factors, Gen.Double[-120, 120])
            .Sample(
                (one, other, factor, shift) =>
                {
                    var (low, high) = (Math.Min(shift, 10 * factor), Math.Max(shift, 10 * factor));
                    return Contains(one.Range.Linear(factor, shift), (one.Inside * factor) + shift)
                        && Contains(one.Range.Plus(other.Range), one.Inside + other.Inside)
                        && Contains(one.Range.Times(other.Range), one.Inside * other.Inside)
                        && Contains(one.Range.Held(low, high), Math.Clamp(one.Inside, low, high))
                        && Contains(one.Range.Wandering(Math.Abs(factor)), one.Inside + factor)
                        && Contains(one.Range.Wandering(Math.Abs(factor)), one.Inside - factor);
                },
                iter: Iterations.Of(20_000)
            );

    [Fact]
    public void A_range_of_one_value_stays_exact()
    {
        var two = ValueRange.Exactly(2);
        var six = two.Times(ValueRange.Exactly(3));
        Assert.Equal((6, 6, 6), (six.Low, six.Value, six.High));
        var held = two.Linear(10, 0).Held(-5, 5);
        Assert.Equal((5, 5, 5), (held.Low, held.Value, held.High));
    }

    private static bool Contains(ValueRange range, double value) =>
        range.Low <= value && value <= range.High && range.Low <= range.Value && range.Value <= range.High;
}
