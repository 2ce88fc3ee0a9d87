using System.Collections.Immutable;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>Curves that are made by a formula and can then be edited like any other.</summary>
public static class CurvePresets
{
    /// <summary>A softer (or, below 0, sharper) middle with the same ends: y = (1 - e) x + e x^3, with x from -1 to 1.</summary>
    /// <remarks>Common practice, no source.</remarks>
    /// <param name="expo">The share e of the cubic part, -100 to +100 %.</param>
    /// <param name="points">How many points, 3 to 17, evenly spaced.</param>
    public static ImmutableArray<CurvePoint> Expo(Percent expo, int points)
    {
        var share = expo.Value / 100;
        return
        [
            .. Enumerable
                .Range(0, points)
                .Select(i => -1 + (2.0 * i / (points - 1)))
                .Select(x => new CurvePoint
                {
                    X = Rounded(100 * x),
                    Y = Rounded(100 * (((1 - share) * x) + (share * x * x * x))),
                }),
        ];
    }

    private static Percent Rounded(double value) => new(Math.Round(value, 1, MidpointRounding.AwayFromZero));
}
