using Zephyros.Core.Model.Running;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>Tries all levels and times of a grid for an alarm, on recorded flights: the condition itself is compiled for each of them, and
/// run over what makes a difference to it.</summary>
internal sealed class AlarmSurvey
{
    private readonly Setup setup;
    private readonly Alarm alarm;
    private readonly AlarmGrid grid;
    private readonly IReadOnlyDictionary<string, double> settings;

    public AlarmSurvey(Setup setup, Alarm alarm, AlarmGrid grid)
    {
        (this.setup, this.alarm, this.grid) = (ReplaySetup.Of(setup, [alarm.Id]), alarm, grid);
        settings = FlightHands.Of(setup);
    }

    /// <summary>When the alarm would hold on a flight, for one level and every time of the grid.</summary>
    /// <param name="flight">The flight.</param>
    /// <param name="way">Where it was recorded.</param>
    /// <param name="level">The level.</param>
    public IEnumerable<IReadOnlyList<Holding>> Held(FlightRecording flight, HearingWay way, Reading level)
    {
        (FlightHearing Hearing, ReplayEvent[] Events)? heard = null;
        foreach (var wait in grid.Waits)
        {
            var edited = alarm.With(setup, level, wait);
            // What makes a difference is the same for all times.
            heard ??= Heard(SignalPlan.Compile(edited), flight, way);
            yield return Run(
                ModelPlan.Compile(edited.Transmitter, edited.Model),
                heard.Value.Hearing,
                heard.Value.Events
            );
        }
    }

    private static (FlightHearing, ReplayEvent[]) Heard(SignalPlan plan, FlightRecording flight, HearingWay way)
    {
        var hearing = new FlightHearing(plan, flight, way);
        return (hearing, [.. new ReplayEvents(plan, hearing).All(ignored: false).Where(e => e.Matters)]);
    }

    private IReadOnlyList<Holding> Run(ModelPlan plan, FlightHearing hearing, ReplayEvent[] events)
    {
        var model = new ReplayModel(plan, settings) { TelemetryLost = hearing.Never };
        var end = hearing.Flight.End;
        var track = new HoldingTrack();
        Work(TimeSpan.Zero);
        foreach (var happening in events)
        {
            Pass(happening.At);
            if (model.Reach(happening.At))
                Look(happening.At);
            happening.Put(model);
            Work(happening.At);
        }

        Pass(end);
        track.End(end);
        return track.Held;

        void Pass(TimeSpan to)
        {
            while (model.Next is var next && next <= to)
                Work(next);
        }

        void Work(TimeSpan at)
        {
            model.Run(at);
            Look(at);
        }

        void Look(TimeSpan at) => track.Look(model.Holds(alarm.Id), model.TelemetryLost, at);
    }
}
