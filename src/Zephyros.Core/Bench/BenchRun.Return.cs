using Zephyros.Core.Craft;
using Zephyros.Core.Model;
using Zephyros.Core.Return;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

// What comes back to the transmitter: what is measured at the craft, and the packets that bring it.
public sealed partial class BenchRun
{
    /// <summary>Lets a sensor of the craft measure something else; the transmitter knows it with the next packet of telemetry.</summary>
    /// <param name="sensor">Its id.</param>
    /// <param name="reading">The reading, in the sensor's unit.</param>
    /// <returns>False when there is no such sensor; nothing has changed then.</returns>
    public bool Report(string sensor, Reading reading)
    {
        if (!transmitter.HasSensor(sensor) || reading.Value is not (>= -Sensor.Furthest and <= Sensor.Furthest))
            return false;
        sensors.Hold(sensor, reading);
        changes++;
        HearOwn(sensor, reading);
        return true;
    }

    /// <summary>Lets a sensor that is held by hand measure again what there is.</summary>
    /// <returns>False when there is no such sensor.</returns>
    public bool Release(string sensor)
    {
        if (!transmitter.HasSensor(sensor))
            return false;
        sensors.Release(sensor);
        changes++;
        HearOwn(sensor, plan.Setup.Model.Sensors[sensor].Bench);
        return true;
    }

    /// <summary>Begins anew to keep the lowest and highest reading of each sensor.</summary>
    public void ResetExtremes()
    {
        transmitter.ResetExtremes();
        changes++;
    }

    /// <summary>What the transmitter has heard last of a sensor; null when nothing came.</summary>
    internal Reading? HeardOf(string sensor) => transmitter.HeardOf(sensor);

    /// <summary>True while a condition of the model holds.</summary>
    internal bool Holds(string condition) => plan.Model.Holds(Memory, condition);

    /// <summary>Lets a timer of the transmitter begin anew.</summary>
    /// <returns>False when there is no such timer; nothing has changed then.</returns>
    public bool ResetTimer(string timer)
    {
        CallTimers();
        if (transmitter.ResetTimer(timer) is not { } told)
            return false;
        Log.Add(now, LogKind.Reset, told);
        changes++;
        return true;
    }

    /// <summary>Puts a battery into the craft of which a share of the charge is left.</summary>
    /// <param name="left">The share, 0 to 100 %.</param>
    /// <returns>False when the share is another, or the battery is not written down; nothing has changed then.</returns>
    public bool PutBattery(Percent left)
    {
        if (left.Value is not (>= 0 and <= 100) || BatteryModel.Of(plan.Setup.Craft) is not { } model)
            return false;
        battery.Put(model, left.Value / 100, now);
        changes++;
        return true;
    }

    /// <summary>Lets as much current flow for a while as at full throttle, whatever the motors do: nothing turns.</summary>
    /// <returns>False when the craft has no power, or its battery is not written down; nothing has changed then.</returns>
    public bool Burst()
    {
        if (!Power || BatteryModel.Of(plan.Setup.Craft) is null)
            return false;
        battery.Burst(plan, board, now);
        changes++;
        return true;
    }

    // What the transmitter measures itself needs no packet.
    private void HearOwn(string sensor, Reading reading)
    {
        if (!TransmitterOn || plan.Setup.Model.Sensors[sensor].MeasuredBy != SensorOrigin.Transmitter)
            return;
        Reach();
        transmitter.Hear(sensor, reading, now);
        RunModel();
    }

    /// <summary>The same, and the transmitter knows it at once: a sequence of a proof begins when a reading has come.</summary>
    internal void Hear(string sensor, Reading reading)
    {
        Reach();
        sensors.Hold(sensor, reading);
        transmitter.Hear(sensor, reading, now);
        RunModel();
    }

    /// <summary>Holds telemetry back on its way, or lets it through: the transmitter knows it with the next packet, or when it misses
    /// those that do not come.</summary>
    public void SetTelemetry(bool arrives) => Telemetry = arrives;

    /// <summary>Decides whether the transmitter misses telemetry, whatever packets come; null to let them decide again.</summary>
    internal void DecideTelemetry(bool? missed)
    {
        downLink.Decide(missed, now);
        Reach();
        RunModel();
    }

    // The receiver reports what it measures of the link, and the board what is its turn.
    private void SendTelemetry()
    {
        var open = Sending && receiver.Way.Up && Power && Telemetry;
        var missedBefore = TelemetryLost;
        var message = back.At(downLink.Turn);
        if (!downLink.Send(open, receiver.Way.At?.Quality ?? new Percent(100)))
            return;
        if (missedBefore && !TelemetryLost)
        {
            Log.Add(now, LogKind.Heard, "Telemetry comes");
            Reach();
            RunModel();
        }

        // A transmitter takes one reading after the other in.
        battery.Follow(plan, board, now);
        foreach (var (sensor, reading) in Measured())
        {
            if (
                back.Sensors[sensor] is not { Comes: true, Message: { } by }
                || (by != ReturnMessage.Link && by != message)
            )
                continue;
            var same = transmitter.ReadingOf(sensor) == plan.Setup.Model.Sensors[sensor].Kept(reading).Value;
            if (!same)
                Reach();
            transmitter.Hear(sensor, reading, now);
            if (!same)
                RunModel();
        }

        if (message == ReturnMessage.State)
        {
            transmitter.Hear(Board, board.Reading);
            Speak();
        }
    }

    private IEnumerable<(string Id, Reading Reading)> Measured() =>
        sensors.Measured(plan, receiver.Way, downLink.Quality, battery.Look(plan, now), now - poweredAt);

    private void MissTelemetry()
    {
        downLink.Miss();
        Log.Add(now, LogKind.Missed, "Telemetry missed");
        Reach();
        RunModel();
    }
}
