using System.Text;
using Zephyros.Core.Craft;
using Zephyros.Core.Loss;
using Zephyros.Core.Loss.Presets;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
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
        setups
            .MapGet("/{id}/loss-sheet", Sheet)
            .WithName("WriteLossSheet")
            .Produces<string>(contentType: "text/markdown");
    }

    private static IResult Play(LossRequest asked, Setup setup, LossPlays plays)
    {
        var flight = asked.Flight ?? setup.Craft.AtLoss ?? FlightAtLoss.Usual;
        var timeline = plays.Of(setup, asked.Throttle, asked.Fix)?.With(flight);
        var headline = timeline is null ? LossWords.Nothing : LossWords.Headline(flight, timeline);
        return TypedResults.Ok(new LossView(flight, timeline, headline));
    }

    private static IResult Sheet(string id, double throttle, bool fix, SetupStore store, LossPlays plays)
    {
        if (store.Find(id) is not { } stored)
            return Saving.NoSetup(id);
        if (throttle is not (>= -100 and <= 100))
            return Problem.Of(
                StatusCodes.Status400BadRequest,
                "No such throttle",
                $"A throttle stick stands at -100 to 100 %, not at {throttle}."
            );
        var setup = stored.Setup;
        var flight = setup.Craft.AtLoss ?? FlightAtLoss.Usual;
        var timeline = plays.Of(setup, new Percent(throttle), fix)?.With(flight);
        var text = LossSheet.Markdown(setup, stored.Revision, flight, new Percent(throttle), timeline);
        return TypedResults.File(
            Encoding.UTF8.GetBytes(text),
            "text/markdown; charset=utf-8",
            $"{id}-lost-signal{LossSheet.FileEnding}"
        );
    }
}
