using Zephyros.Core.Air;
using Zephyros.Core.Captures;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;
using Zephyros.Core.Wire.Pulses;

namespace Zephyros.Core.Bench;

/// <summary>Records the signal wire of the simulated receiver while every stick is moved from end to end and every switch through its
/// positions, one after the other.</summary>
public static class ReceiverRecording
{
    // So many frames for each movement.
    private const int FramesEach = 12;

    // In milliseconds.
    private const double HeldFor = 1700;

    private const double AwayFor = 600;

    // A stick that is kept moving goes round so often in a second; it is recorded so long before, and the transmitter is off so long.
    private const double Rounds = 0.7;
    private const double OnFor = 2000;
    private const double OffFor = 3000;

    private const int DisturbedEvery = 9;
    private const long DisturbanceLength = 250_000;

    /// <summary>Makes a recording.</summary>
    /// <param name="setup">The valid setup whose receiver is recorded.</param>
    /// <param name="fault">What is wrong with it.</param>
    public static LineCapture Of(Setup setup, RecordingFault fault = RecordingFault.None)
    {
        var plan = SignalPlan.Compile(setup);
        return Of(plan, fault == RecordingFault.TransmitterOff ? Circling(plan) : Frames(plan), fault);
    }

    /// <summary>Makes a recording in which sticks and switches are moved and held as the guided routines ask.</summary>
    /// <param name="setup">The valid setup whose receiver is recorded.</param>
    public static LineCapture OfMeasuring(Setup setup)
    {
        var plan = SignalPlan.Compile(setup);
        return Of(plan, MeasuringFrames(plan), RecordingFault.None);
    }

    private static LineCapture Of(SignalPlan plan, IEnumerable<int[]> frames, RecordingFault fault)
    {
        var setup = plan.Setup;
        var period = (long)(setup.Wire.FramePeriod.Value * 1e6);
        var edges = new List<Edge>();
        var count = 0;
        foreach (
            var (counts, says) in AwayIn(fault) is { } away
                ? Away(plan, [.. frames], away)
                : frames.Select(f => ((int[]?)f, (LossKind?)null))
        )
        {
            count++;
            if (counts is not null)
                Draw(plan, counts, says, count - 1, period * count, edges);
        }

        if (fault == RecordingFault.LooseWire)
            edges = Disturbed(edges, period, count);
        var idle = plan.Wire.Framing is { Inverted: false };
        if (fault == RecordingFault.Flipped)
            (edges, idle) = ([.. edges.Select(e => e with { High = !e.High })], !idle);
        return SerialWave.Record("receiver", idle, edges, period * (count + 1));
    }

    // How long the link is away, in milliseconds; null when it stays.
    private static double? AwayIn(RecordingFault fault) =>
        fault switch
        {
            RecordingFault.LinkAway => AwayFor,
            RecordingFault.TransmitterOff => OffFor,
            RecordingFault.None or RecordingFault.Flipped or RecordingFault.LooseWire => null,
        };

    // Until it gives up, the receiver repeats what it had last; then it does what the setup says of it: null where it sends nothing.
    private static IEnumerable<(int[]? Counts, LossKind? Says)> Away(SignalPlan plan, int[][] frames, double away)
    {
        var period = plan.Setup.Wire.FramePeriod.Value;
        var givesUp = plan.Setup.Air.GivesUp.Value;
        // The longer one comes early, so that there is something after it.
        var from = away > AwayFor ? (int)(OnFor / period) : frames.Length / 2;
        for (var i = 0; i < frames.Length; i++)
        {
            var since = (i - from) * period;
            if (since < 0 || since >= givesUp + away)
                yield return (frames[i], null);
            else if (since < givesUp)
                yield return (frames[from], LossKind.FrameLost);
            else
                yield return (AtLoss(plan, frames[from]), null);
        }
    }

    private static int[]? AtLoss(SignalPlan plan, int[] last)
    {
        if (plan.Setup.Air.OnLoss == ReceiverLoss.Silent)
            return null;
        int[] counts = [.. last];
        if (plan.Setup.Air.OnLoss == ReceiverLoss.Preset)
            foreach (var (channel, preset) in plan.Setup.Air.Presets)
                if (channel.Value <= counts.Length)
                    counts[channel.Value - 1] = plan.Wire.ToCount(preset, plan.Setup.Wire.Rounding);
        return counts;
    }

    private static void Draw(SignalPlan plan, int[] counts, LossKind? says, int turn, long start, List<Edge> edges)
    {
        var carried = plan.Setup.Wire.Format.ChannelsIn(plan.Setup.Wire.FramePeriod);
        switch (plan.Setup.Wire.Format.Codec())
        {
            case SerialCodec serial:
                Span<byte> bytes = stackalloc byte[serial.Descriptor.FrameBytes];
                bytes = bytes[..serial.Write(counts, turn, bytes)];
                if (says is { } kind)
                    serial.Say(bytes, kind);
                SerialWave.Draw(bytes, serial.Framing, start, edges);
                break;
            case PulseTrainFormat:
                PulseTrainFormat.Draw(counts.AsSpan(0, carried), start, edges);
                break;
            default:
                // One wire is recorded: that of the throttle, where it arrives.
                var throttle = plan.ThrottleChannel?.Channel.Number.Value ?? 1;
                SeparatePulsesFormat.Draw(counts[Math.Min(throttle, carried) - 1], start, edges);
                break;
        }
    }

    // Roll and pitch go round and round, all else rests.
    private static IEnumerable<int[]> Circling(SignalPlan plan)
    {
        var values = plan.CreateValues();
        plan.Settle(values);
        var period = plan.Setup.Wire.FramePeriod;
        var whole = (2 * OnFor) + OffFor + plan.Setup.Air.GivesUp.Value;
        for (var at = 0.0; at < whole; at += period.Value)
        {
            var (sine, cosine) = Math.SinCos(2 * Math.PI * Rounds * at / 1000);
            Put(StickAxis.Roll, 90 * sine);
            Put(StickAxis.Pitch, 90 * cosine);
            // Of separate pulses one wire is recorded, that of the throttle.
            if (plan.Setup.Wire.Format == WireFormat.SeparatePulses)
                Put(StickAxis.Throttle, 60 * sine);
            plan.Evaluate(values, period.ToTimeSpan());
            yield return [.. values.Counts];
        }

        void Put(StickAxis axis, double setting)
        {
            if (plan.Setup.Transmitter.StickOf(axis) is { } stick)
                values.Hands[plan.Model.IndexOf(stick)] = new Percent(setting);
        }
    }

    // What is sent: at rest, then each control to its ends and back.
    private static IEnumerable<int[]> Frames(SignalPlan plan)
    {
        var values = plan.CreateValues();
        plan.Settle(values);
        for (var i = 0; i < FramesEach; i++)
            yield return [.. values.Counts];
        for (var control = 0; control < plan.Model.Controls.Count; control++)
        {
            var rest = values.Hands[control];
            foreach (var setting in Settings(plan.Model.Controls[control].Value))
            {
                values.Hands[control] = setting;
                for (var i = 0; i < FramesEach; i++)
                {
                    plan.Evaluate(values, plan.Setup.Wire.FramePeriod.ToTimeSpan());
                    yield return [.. values.Counts];
                }
            }

            values.Hands[control] = rest;
            for (var i = 0; i < FramesEach; i++)
            {
                plan.Evaluate(values, plan.Setup.Wire.FramePeriod.ToTimeSpan());
                yield return [.. values.Counts];
            }
        }
    }

    // Each movement is held longer than the routines ask for.
    private static IEnumerable<int[]> MeasuringFrames(SignalPlan plan)
    {
        var each = (int)Math.Ceiling(HeldFor / plan.Setup.Wire.FramePeriod.Value);
        var values = plan.CreateValues();
        (string Control, double Setting)[] movements =
        [
            // A routine begins at rest.
            .. StickRoutine.Movements(plan.Setup.Transmitter).TakeLast(1),
            .. StickRoutine.Movements(plan.Setup.Transmitter),
            .. new SwitchRoutine(plan, BoardShows.Of(plan.Setup.Board, values.Received), TimeSpan.Zero).Movements,
        ];
        foreach (var (id, setting) in movements)
        {
            var index = plan.Model.IndexOf(id);
            values.Hands[index] = plan.Model.Controls[index].Value.Read(setting)!.Value;
            for (var i = 0; i < each; i++)
            {
                plan.Evaluate(values, plan.Setup.Wire.FramePeriod.ToTimeSpan());
                yield return [.. values.Counts];
            }
        }
    }

    private static IEnumerable<Percent> Settings(Control control) =>
        control.NamedPositions.Count > 0
            ? control.NamedPositions.Select(p => control.Read(p.Setting)!.Value)
            : [new Percent(-100), new Percent(0), new Percent(100)];

    // In every ninth frame the level is lost for a moment.
    private static List<Edge> Disturbed(List<Edge> edges, long period, int frames)
    {
        var left = new List<Edge>(edges.Count);
        foreach (var edge in edges)
        {
            var frame = edge.At / period;
            var into = edge.At % period;
            if (frame % DisturbedEvery != 0 || frame >= frames || into is < 100_000 or > 100_000 + DisturbanceLength)
                left.Add(edge);
        }

        // Levels must take turns: of two edges to the same level the second says nothing new.
        var turns = new List<Edge>(left.Count);
        foreach (var edge in left)
            if (turns.Count == 0 || turns[^1].High != edge.High)
                turns.Add(edge);
        return turns;
    }
}
