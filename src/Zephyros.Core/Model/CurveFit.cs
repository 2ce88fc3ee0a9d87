using System.Collections.Immutable;

namespace Zephyros.Core.Model;

/// <summary>A curve that turns measured values into wanted ones.</summary>
/// <param name="Points">Its points.</param>
/// <param name="Residuals">What each measured value gives, less what was wanted, in percent; in the order of the measured values.</param>
/// <param name="Worst">The largest residual without its sign.</param>
/// <param name="Within">True when no residual is larger than the tolerance.</param>
/// <param name="Flats">How many positions lie on a flat stretch, so that a worn contact changes nothing.</param>
public sealed record CurveFit(
    ImmutableArray<CurvePoint> Points,
    IReadOnlyList<double> Residuals,
    double Worst,
    bool Within,
    int Flats
);
