using Zephyros.Core.Hands;
using Zephyros.Core.Model;

namespace Zephyros.Core.Measure.Wiggles;

/// <summary>One way in which the four sticks may arrive: which bar each moves, and whether that runs the wrong way.</summary>
/// <param name="Bars">The bar of roll, pitch, throttle and yaw, in the order of <see cref="StickAxes.All"/>; each bar once.</param>
/// <param name="Reversed">A bit for each of them, set when it runs the wrong way.</param>
public readonly record struct Arrival(StickOrder Bars, int Reversed)
{
    /// <summary>All there are: 24 orders times 16 directions.</summary>
    public static IReadOnlyList<Arrival> All { get; } =
    [.. from bars in StickOrder.All from reversed in Enumerable.Range(0, 16) select new Arrival(bars, reversed)];

    /// <summary>The bar that a stick moves.</summary>
    public StickAxis BarOf(StickAxis stick) => Bars.AxisOf(new(Place(stick) + 1));

    /// <summary>True when its bar runs the wrong way.</summary>
    public bool IsReversed(StickAxis stick) => (Reversed >> Place(stick) & 1) != 0;

    /// <summary>True when what was seen can be so.</summary>
    public bool Allows(WiggleSeen seen) =>
        BarOf(seen.Moved) == seen.Bar && (seen.Reversed is not { } wrong || IsReversed(seen.Moved) == wrong);

    private static int Place(StickAxis stick) => StickAxes.All.ToList().IndexOf(stick);
}
