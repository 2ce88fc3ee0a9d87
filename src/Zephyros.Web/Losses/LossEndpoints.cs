using Zephyros.Core.Craft;
using Zephyros.Core.Loss.Presets;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Losses;

/// <summary>What a loss of the signal does, second by second, and where the craft comes down.</summary>
internal static class LossEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups
            .MapGet(
                "/{id}/presets",
                (string id, SetupStore store) =>
                    Asking.Answer(store, id, s => TypedResults.Ok(PresetSolver.Of(SignalPlan.Compile(s))))
            )
            .WithName("SolvePresets")
            .Finds<PresetAnswer>();
        setups
            .MapPost(
                "/{id}/loss",
                (HttpContext context, string id, SetupStore store, LossPlays plays) =>
                    Asking.AnswerAsync<LossRequest>(context, store, id, (asked, setup) => Play(asked, setup, plays))
            )
            .WithName("PlayLoss")
            .Accepts<LossRequest>("application/json")
            .Answers<LossView>();
    }

    private static IResult Play(LossRequest asked, Setup setup, LossPlays plays)
    {
        var flight = asked.Flight ?? setup.Craft.AtLoss ?? FlightAtLoss.Usual;
        return TypedResults.Ok(new LossView(flight, plays.Of(setup, asked.Throttle, asked.Fix)?.With(flight)));
    }
}
