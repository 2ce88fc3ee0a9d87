using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Findings;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Symptoms;

/// <summary>What pilots see go wrong at the bench, and what is behind it.</summary>
/// <remarks>Symptoms and their causes: common practice, no source. What a setup shows of them is worked out.</remarks>
public static class SymptomList
{
    /// <summary>Every symptom, with its causes ranked for a setup.</summary>
    public static IReadOnlyList<Symptom> For(Setup setup)
    {
        var found = new SymptomCase(SignalPlan.Compile(setup));
        return
        [
            Ranked("throttle-rolls", "The throttle stick rolls or turns the picture of the craft", OtherBar(found)),
            Ranked("spins", "The picture spins although no stick is touched", Spins(found)),
            Ranked("turns-slowly", "The picture turns slowly with the sticks let go", TurnsSlowly(found)),
            Ranked("wrong-way", "A stick works the wrong way round", WrongWay(found)),
            Ranked("weak", "It turns more slowly than it should, or more slowly one way", Weak(found)),
            Ranked("will-not-arm", "It will not arm", WillNotArm(found)),
            Ranked("dead-switch", "A switch does nothing", DeadSwitch(found)),
            Ranked("dead", "No bar moves at all", Dead(found)),
        ];
    }

    private static IEnumerable<Suspect> OtherBar(SymptomCase c)
    {
        yield return Found(
            c,
            "The order in which the transmitter sends the sticks is not the one that the board reads.",
            "Do the wiggle test; put it right in one place only.",
            "channel-order"
        );
        yield return Shows(
            c.SticksMixed && c.Found("channel-order").Count == 0,
            "One stick reaches several channels, or none: a step adds one to another.",
            "Look along the path of that stick at what its channel takes."
        );
        yield return Open(
            "The transmitter or the board is not set as it is written down here.",
            "Read the transmitter's list of channels, or the board's map, beside this setup; then do the wiggle test."
        );
        yield return Open(
            "The transmitter holds the sticks in another mode than the pilot.",
            $"This setup is for mode {(int)c.Plan.Setup.Transmitter.StickMode}; see which hand moves the throttle."
        );
    }

    private static IEnumerable<Suspect> Spins(SymptomCase c)
    {
        yield return Found(
            c,
            "A low throttle arrives as roll, pitch or yaw and is taken for full deflection.",
            "Raise the throttle stick to the middle: if the picture stops, it is the order.",
            "channel-order"
        );
        yield return Found(
            c,
            "The receiver puts a signal quality on a stick channel.",
            "Move it to a free channel.",
            "quality-overwrites"
        );
        yield return Shows(
            c.Spins && c.Found("channel-order", "quality-overwrites").Count == 0,
            "A channel that the board reads stands far from its centre.",
            "Compare model, wire and board: the channel that stands off shows which."
        );
        yield return Found(
            c,
            "Nothing feeds one of the stick channels.",
            "See what the channel takes.",
            "stick-not-sent",
            "channel-unfed"
        );
        yield return Open(
            "The receiver is not linked and sends its presets or its last values.",
            "See whether the receiver's light says that it is linked."
        );
    }

    private static IEnumerable<Suspect> TurnsSlowly(SymptomCase c)
    {
        yield return Found(c, "A trim was left on.", "Put all trims to zero.", "trim-left-on");
        yield return Found(
            c,
            "The centre of a stick does not arrive at the board's centre.",
            "Measure the sticks; set the board's centre when all agree, otherwise the channel's own.",
            "travel-off"
        );
        yield return Open(
            "The stick itself does not come back to its centre, or trembles.",
            "Measure the trembling; calibrate the transmitter's sticks, then set the deadband."
        );
        yield return Open(
            "If it drifts only while it levels itself, it is not the sticks but the accelerometer's own trim.",
            "Fly or look without self-levelling: if it stands still, calibrate the accelerometer on a level table."
        );
    }

    private static IEnumerable<Suspect> WrongWay(SymptomCase c)
    {
        yield return Found(
            c,
            "The channel of the stick runs the wrong way.",
            "Turn it round in its output stage.",
            "stick-reversed"
        );
        yield return Open(
            "The transmitter turns a channel round that is not written down here.",
            "Do the wiggle test and look at the direction: up, right and forward make a bar grow."
        );
        yield return Open(
            "The board is mounted another way round than it knows.",
            "Tilt the craft by hand without arming: if the picture tilts the wrong way, it is the board's orientation."
        );
    }

    private static IEnumerable<Suspect> Weak(SymptomCase c)
    {
        yield return Found(
            c,
            "The ends of a stick channel do not reach 1000 and 2000 µs on the board.",
            "Sweep the sticks, and put the ends right in one place.",
            "travel-off",
            "end-beyond-reach"
        );
        yield return Found(c, "A limiter holds the channel back.", "Look at its value.", "limiter-too-low");
        yield return Open(
            "The rates of the board are set lower than thought.",
            $"This setup has {c.Plan.Setup.Board.MaximumRate} at full stick."
        );
    }

    private static IEnumerable<Suspect> WillNotArm(SymptomCase c)
    {
        var guards = c.Plan.Setup.Board.Guards;
        var kinds = c.Plan.Setup.Board.Functions.Values.Select(f => f.Kind).ToHashSet();
        yield return Found(
            c,
            "The arm switch does not reach the arm function.",
            "Flip it and watch the AUX bars.",
            "arm-function-missing",
            "arm-switch-not-reaching",
            "arm-channel-not-carried",
            "arm-band-unreached",
            "link-steps-too-few",
            "activation-limit-missed"
        );
        yield return Found(
            c,
            "The board never sees the throttle low: it arrives elsewhere, or its limit lies at or below the low end.",
            "Look at the throttle bar with the stick down; the limit belongs about 10 µs above it.",
            "channel-order",
            "throttle-never-low"
        );
        yield return Shows(
            c.Found("channel-order", "throttle-never-low").Count == 0 && !c.Plan.ThrottleIsLow(c.AtStart),
            "The throttle stick does not rest low, or something lifts its channel.",
            "Pull it fully down and look at the bar."
        );
        yield return Open(
            "The switch was on when the craft got power.",
            "Put it off, wait for a good signal, then on."
        );
        if (guards.RefusesConnected)
            yield return Open("The board is connected for configuration.", "Take the cable off. Propellers stay off.");
        if (guards.TiltLimit is { } tilt)
            yield return Open("The craft is tilted.", $"Put it level: the board refuses beyond {tilt}.");
        if (guards.Calibration is not null)
            yield return Open("The board is still calibrating its sensors.", "Leave the craft still after power-up.");
        if (kinds.Contains(FunctionKind.ArmConsent))
            yield return Open("The second control has not consented.", "Hold it in its band while you arm.");
        if (kinds.Contains(FunctionKind.AutomaticTrim) || kinds.Contains(FunctionKind.AutomaticTune))
            yield return Open("Automatic trim or tuning is on.", "Switch it off first.");
        yield return Found(
            c,
            "No good frames reach the board: port, format or level do not fit.",
            "See whether any bar moves.",
            "receiver-port-unfit",
            "receiver-port-settings",
            "receiver-speaks-other",
            "module-not-alone",
            "family-differs"
        );
    }

    private static IEnumerable<Suspect> DeadSwitch(SymptomCase c)
    {
        yield return Found(
            c,
            "Nothing in the model or on the board uses it.",
            "Give it a channel or a condition.",
            "control-idle",
            "channel-unused",
            "condition-unused"
        );
        yield return Found(
            c,
            "The board watches another AUX channel than the one it is sent on.",
            "AUX n is channel n + 4: look at both numbers.",
            "channel-unfed",
            "arm-switch-not-reaching"
        );
        yield return Found(
            c,
            "Its positions lie outside the band, or too near to an edge.",
            "Measure the positions and fit the bands.",
            "arm-band-unreached",
            "band-too-near",
            "link-steps-too-few"
        );
        yield return Found(
            c,
            "Something forces its channel, or a stronger function has the way.",
            "Look at what holds the channel.",
            "forced-value-held",
            "override-not-enabled",
            "function-shadowed",
            "condition-stuck"
        );
        yield return Shows(
            c.Plan.Setup.Transmitter.Channels > SignalPlan.CarriedChannels(c.Plan.Setup)
                && c.Plan.Model.Channels.Any(p => p.Channel.Number.Value > SignalPlan.CarriedChannels(c.Plan.Setup)),
            "Its channel is beyond those that the link carries.",
            $"Only channels 1 to {SignalPlan.CarriedChannels(c.Plan.Setup)} arrive."
        );
        yield return Open(
            "The transmitter took another control when it was assigned: a knob and a switch may share a letter.",
            "Flip the switch and see which AUX bar moves; measure the switches."
        );
        yield return Open(
            "The board was not told to keep what was set.",
            "Leave its page the way that saves, go back in, and look."
        );
    }

    private static IEnumerable<Suspect> Dead(SymptomCase c)
    {
        yield return Found(
            c,
            "The port of the board cannot read the receiver, or is not set to.",
            "Look at port, inverter, speed and format.",
            "receiver-port-unfit",
            "receiver-port-settings",
            "receiver-speaks-other"
        );
        yield return Found(
            c,
            "No radio module sends, or several do, or it does not belong to the receiver's family.",
            "Switch on the one that belongs to the receiver.",
            "module-not-alone",
            "family-differs",
            "band-elsewhere"
        );
        yield return Found(
            c,
            "The receiver gets no power from the cable alone.",
            "Connect the battery. Propellers off.",
            "receiver-needs-battery"
        );
        yield return Open("Transmitter and receiver are not bound.", "Follow the bind guide of the system.");
        yield return Open("The wire is on the wrong pad, or broken.", "Record the wire and let it be recognised.");
        yield return Open(
            c.Plan.Setup.Air.OnLoss == ReceiverLoss.Silent
                ? "The link is down; this receiver is silent then."
                : "The link is down; this receiver goes on sending, but what it sends does not move.",
            "Look at the receiver's light with the transmitter beside it."
        );
    }

    private static Symptom Ranked(string id, string title, IEnumerable<Suspect> suspects) =>
        // The sort keeps the trade's order among equals.
        new(id, title, [.. suspects.OrderBy(s => s.Standing)]);

    private static Suspect Found(SymptomCase c, string what, string check, params ReadOnlySpan<string> findings)
    {
        IReadOnlyList<Finding> found = c.Found(findings);
        return new(what, check, found.Count > 0 ? SuspectStanding.Shown : SuspectStanding.Unlikely, found);
    }

    private static Suspect Shows(bool shown, string what, string check) =>
        new(what, check, shown ? SuspectStanding.Shown : SuspectStanding.Unlikely, []);

    private static Suspect Open(string what, string check) => new(what, check, SuspectStanding.Open, []);
}
