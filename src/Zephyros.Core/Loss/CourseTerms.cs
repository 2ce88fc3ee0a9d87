using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>What the way of a craft after a loss follows from, besides what its board does.</summary>
/// <param name="Flight">The flight at the loss.</param>
/// <param name="Return">How the board flies home.</param>
/// <param name="Lands">How long a landing lasts until the motors stop.</param>
internal sealed record CourseTerms(FlightAtLoss Flight, ReturnSettings Return, TimeSpan Lands)
{
    /// <summary>The terms of a setup.</summary>
    public static CourseTerms Of(Setup setup, FlightAtLoss flight) =>
        new(flight, setup.Board.Loss.Return, setup.Board.Loss.LandingTime.ToTimeSpan());

    /// <summary>Where home is along the way; null when it is not written down. The craft flies away from it, which is the worst.</summary>
    public Metres? Home => Flight.Pilot is { } away ? default(Metres) - away : null;

    /// <summary>How fast it flies home over the ground, the wind against it; null when it does not come forward.</summary>
    public MetresPerSecond? Homeward => Return.Speed > Flight.Wind ? Return.Speed - Flight.Wind : null;
}
