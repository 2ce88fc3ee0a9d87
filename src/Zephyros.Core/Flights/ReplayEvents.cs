using Zephyros.Core.Path;

namespace Zephyros.Core.Flights;

/// <summary>All that comes into a model on a recorded flight, in the order of time.</summary>
internal sealed class ReplayEvents
{
    private readonly FlightHearing hearing;
    private readonly FlightHands hands;
    private readonly SensorLimits[] limits;
    private readonly double[] known;

    /// <summary>Takes a flight for a model.</summary>
    public ReplayEvents(SignalPlan plan, FlightHearing hearing)
    {
        this.hearing = hearing;
        hands = new FlightHands(plan, hearing.Flight);
        var asked = SensorLimits.Of(plan.Setup.Model);
        limits = [.. hearing.Sensors.Select(s => asked[s.Id])];
        known = [.. plan.Model.BenchReadings().Select(r => r.Value)];
    }

    /// <summary>Goes through the flight, once.</summary>
    /// <param name="ignored">False to leave out the readings of sensors that the model does not look at.</param>
    public IEnumerable<ReplayEvent> All(bool ignored)
    {
        var (row, last) = (-1, TimeSpan.Zero);
        for (var step = 0; step < hearing.Steps; step++)
        {
            if (hearing.Row(step, Math.Max(row, 0)) is not { } next)
                continue;
            var at = hearing.At(step);
            foreach (var happening in Between(row, next, last, at))
                yield return happening;
            if (last + hearing.MissedAfter < at)
                yield return ReplayEvent.Telemetry(at, lost: false);
            (row, last) = (next, at);
            var message = hearing.Message(step);
            for (var i = 0; i < limits.Length; i++)
            {
                var sensor = hearing.Sensors[i];
                if (!ignored && limits[i].Ignored)
                    continue;
                if (!hearing.Brings(message, sensor) || sensor.At(row) is var reading && double.IsNaN(reading))
                    continue;
                yield return ReplayEvent.Read(at, sensor.Place, reading, limits[i].Part(known[sensor.Place], reading));
                known[sensor.Place] = reading;
            }
        }

        foreach (var happening in Between(row, hearing.Flight.Times.Length - 1, last, hearing.Flight.End))
            yield return happening;
    }

    // What the hands do between two rows, and that telemetry is missed, until a time.
    private IEnumerable<ReplayEvent> Between(int row, int next, TimeSpan last, TimeSpan until)
    {
        var misses = last + hearing.MissedAfter;
        var missed = misses >= until;
        foreach (var move in hands.Between(row, next))
        {
            if (!missed && misses < move.At)
                yield return ReplayEvent.Telemetry(misses, lost: true);
            missed |= misses < move.At;
            yield return move;
        }

        if (!missed)
            yield return ReplayEvent.Telemetry(misses, lost: true);
    }
}
