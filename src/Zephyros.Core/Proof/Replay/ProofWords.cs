using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Model.Running.Ranges;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Replay;

/// <summary>Puts the moves and states of a proof into plain sentences.</summary>
internal sealed class ProofWords(ProofScope scope, ReducedMemory memory)
{
    /// <summary>For which share of its full travel a slow step is waited for, 0 to 1.</summary>
    public double SlowShare { get; set; } = 1;

    /// <summary>A step as a sentence.</summary>
    /// <param name="move">The move; null for the start.</param>
    /// <param name="inputs">Where each moved input goes; at the start where each input stands.</param>
    /// <param name="wait">How long nothing is done before it.</param>
    /// <param name="missed">True while the transmitter misses telemetry after it.</param>
    public string Of(ProofMove? move, IReadOnlyList<StepInput> inputs, TimeSpan wait, bool missed = false) =>
        move is null ? Start([.. inputs.Where(i => !IsAtStart(i))]) : Told(move, inputs, wait, missed);

    private string Told(ProofMove move, IReadOnlyList<StepInput> inputs, TimeSpan wait, bool missed) =>
        move.Kind switch
        {
            MoveKind.Input => string.Join(" and at once: ", inputs.Select(Movement)) + ".",
            MoveKind.ModelTime => $"Wait {Seconds(wait)} until {Waiting(memory.EndingSets[move.Value])}.",
            MoveKind.SlowStep => $"Wait {Seconds(wait)} while what moves slowly goes on.",
            MoveKind.BoardTime => Timer((BoardTimer)move.Value),
            MoveKind.RadioLost => $"The radio link is lost{NotMissed(move, missed)}.",
            MoveKind.RadioBack => $"The radio link is back{After(wait)}{Silent(move, missed)}.",
            MoveKind.PowerOn => $"Connect the flight battery, propellers off{Silent(move, missed)}.",
            MoveKind.PowerOff => $"Take the flight battery off{NotMissed(move, missed)}.",
            MoveKind.TransmitterOff => "Switch the transmitter off.",
            MoveKind.TransmitterOn => $"Switch the transmitter on: it sends again{After(wait)}{Silent(move, missed)}.",
            MoveKind.Turn => (Orientation)move.Value switch
            {
                Orientation.Level => "Put the craft level.",
                Orientation.Tilted => $"Tilt the craft by more than {scope.Plan.Setup.Board.Guards.TiltLimit}.",
                Orientation.UpsideDown => "Turn the craft on its back.",
            },
            MoveKind.Fix => move.Value != 0 ? "The board gets a position fix." : "The board loses its position fix.",
            MoveKind.Cable => (UsbState)move.Value switch
            {
                UsbState.None => "Take the cable for configuration off.",
                UsbState.Connected => "Connect the board for configuration.",
                UsbState.Unlocked => "Unlock arming while connected.",
            },
            MoveKind.Tremble => "",
        };

    /// <summary>A step in which channels tremble, as a sentence.</summary>
    /// <param name="sentence">What else happens; empty when nothing is moved.</param>
    /// <param name="trembles">How far each channel arrives beside what is sent.</param>
    public static string Trembling(string sentence, IReadOnlyDictionary<ChannelNumber, Microseconds> trembles)
    {
        var parts = trembles.Select(t => $"{t.Key} trembles by {Figures.Signed(t.Value.Value, 0)} µs");
        if (sentence.Length > 0)
            return trembles.Count == 0 ? sentence : $"{sentence} {Sentence(string.Join(", ", parts))}";
        return trembles.Count == 0
            ? "Nothing is moved; a value trembles."
            : $"Nothing is moved; {string.Join(", ", parts)}.";
    }

    private static string Sentence(string words) => $"{char.ToUpperInvariant(words[0])}{words[1..]}.";

    /// <summary>How long a move takes alone.</summary>
    public TimeSpan Wait(ProofMove move, int before)
    {
        if (move.Kind == MoveKind.BoardTime)
            return scope.Plan.Board.Duration((BoardTimer)move.Value)?.ToTimeSpan() ?? TimeSpan.Zero;
        if (move.Kind == MoveKind.SlowStep)
            return SlowShare * SlowTravel();
        if (move.Kind == MoveKind.TransmitterOn)
            return scope.Plan.Setup.Transmitter.RestartTime.ToTimeSpan();
        if (move.Kind != MoveKind.ModelTime)
            return TimeSpan.Zero;
        var ends = memory.EndingSets[move.Value];
        return TimeSpan.FromMilliseconds(
            Enumerable.Range(0, scope.Parts.Count).Where(p => (ends >> p & 1) != 0).Max(p => memory.Length(before, p))
        );
    }

    private static string Seconds(TimeSpan wait) =>
        $"{Figures.Plain(wait.TotalSeconds, wait.TotalSeconds < 1 ? 2 : 1)} s";

    private static string Silent(ProofMove move, bool missed) =>
        move.Value == ProofScope.TelemetryStays && missed ? "; telemetry does not come yet" : "";

    private static string NotMissed(ProofMove move, bool missed) =>
        move.Value == ProofScope.TelemetryStays && !missed ? "; the transmitter does not miss telemetry yet" : "";

    // A moment is nothing to speak of.
    private static string After(TimeSpan wait) =>
        wait.TotalSeconds < 0.05 ? "" : $" after {Figures.Plain(wait.TotalSeconds, 2)} s";

    /// <summary>The time that the slowest step takes from end to end.</summary>
    public TimeSpan SlowTravel()
    {
        var longest = 0.0;
        foreach (var op in scope.Plan.Model.Program)
            if (op.Code == OpCode.Slow)
                longest = new[] { op.P, op.Q }
                    .Where(speed => speed > 0)
                    .Select(speed => FullTravel / speed)
                    .Append(longest)
                    .Max();
        return TimeSpan.FromMilliseconds(longest);
    }

    /// <summary>What the board does, in words.</summary>
    public static string Outcome(Situation situation)
    {
        var board = situation.Board;
        if (!board.Powered)
            return "No power.";
        var motors = board.Motors switch
        {
            MotorLevel.Off => "motors off",
            MotorLevel.Idle => "motors idle",
            MotorLevel.IdleWithControl => "motors idle under control",
            MotorLevel.Thrust => "motors at thrust",
        };
        return board switch
        {
            { Signal: BoardSignal.Landing } => $"Landing by itself, {motors}.",
            { Signal: BoardSignal.Returning } => $"Flying home by itself, {motors}.",
            { Signal: BoardSignal.Grace } => $"Signal lost, waiting for it, {motors}.",
            { Armed: true } => $"Armed, {motors}.",
            { Signal: BoardSignal.None } => "No signal, motors off.",
            { ArmRequested: true } => "Refuses to arm, motors off.",
            { ThrottleLow: false } => "Disarmed, throttle not low, motors off.",
            _ => "Disarmed, motors off.",
        };
    }

    [Figure(Station.Hands, "A lever has at most so many positions", ProvenanceKind.CommonPractice)]
    private const int MostOneAboveTheOther = 3;

    // From one end of a channel to the other, in percent.
    private const double FullTravel = 200;

    private string Start(IReadOnlyList<StepInput> elsewhere)
    {
        const string Off = "The transmitter was just switched on, the craft has no power";
        return elsewhere.Count == 0
            ? $"{Off}; all controls are at their start."
            : $"{Off}; all controls are at their start, but: {string.Join(", ", elsewhere.Select(i => $"{Name(i)} {Place(i)}"))}.";
    }

    /// <summary>True when an input stands where it starts. Before the craft has power there is no telemetry to speak of.</summary>
    public bool IsAtStart(StepInput input) => input.Kind == InputKind.Telemetry || StartOf(input) == input.Setting;

    /// <summary>Where a control or a sensor starts.</summary>
    public double StartOf(StepInput input) =>
        input.Kind == InputKind.Sensor
            ? scope.Plan.Setup.Model.Sensors[input.Id].Bench.Value
            : scope.Plan.Setup.Transmitter.Controls[input.Id].StartSetting;

    private string Name(StepInput input) =>
        input.Kind switch
        {
            InputKind.Telemetry => "Telemetry",
            InputKind.Sensor => scope.Plan.Setup.Model.Sensors[input.Id].Label,
            InputKind.Control => scope.Plan.Setup.Transmitter.Controls[input.Id].Name,
        };

    private string Movement(StepInput input) =>
        input.Kind switch
        {
            InputKind.Telemetry => input.Setting == 1 ? "Telemetry is lost" : "Telemetry is back",
            InputKind.Sensor => $"{Name(input)} reads {Place(input)}",
            InputKind.Control => Hand(input),
        };

    private string Hand(StepInput input) =>
        scope.Plan.Setup.Transmitter.Controls[input.Id] switch
        {
            ButtonControl => input.Setting == 1 ? $"Press {Name(input)} and hold it" : $"Let {Name(input)} go",
            SwitchControl made => $"Put {Name(input)} to {Place(input)}{Way(made, (int)input.Setting)}",
            _ => $"Move {Name(input)} to {Place(input)}",
        };

    // Which way the finger moves it; a row of many positions may lie from left to right.
    private static string Way(SwitchControl made, int position) =>
        made.Positions > MostOneAboveTheOther ? ""
        : position == 1 ? ", away from you"
        : position == made.Positions ? ", towards you"
        : "";

    private string Place(StepInput input)
    {
        if (input.Kind == InputKind.Sensor)
            return scope.Plan.Setup.Model.Sensors[input.Id].Words(new Reading(Math.Round(input.Setting, 3)));
        return scope.Plan.Setup.Transmitter.Controls[input.Id] switch
        {
            SwitchControl made => made.PositionName((int)input.Setting),
            ButtonControl => input.Setting == 1 ? "held" : "released",
            _ => $"{Figures.Signed(input.Setting)} %",
        };
    }

    private string Waiting(ulong ends) =>
        string.Join(" and at the same moment ", scope.Parts.Where((_, i) => (ends >> i & 1) != 0).Select(Waiting));

    private string Waiting(MemoryPart part)
    {
        var label =
            part.Owner.Kind == NodeKind.Condition
                ? $"“{scope.Plan.Setup.Model.Conditions[part.Owner.Id].Label}”"
                : "it";
        return part.Code == OpCode.Delay ? $"the delay in {label} is over" : $"the press in {label} has lasted";
    }

    private string Timer(BoardTimer timer)
    {
        var time = scope.Plan.Board.Duration(timer);
        return timer switch
        {
            BoardTimer.FramesMissing => $"No frame for {time}: the board notices the loss.",
            BoardTimer.Grace => $"Wait {time}: the grace time is over.",
            BoardTimer.Landing => $"Wait {time}: the landing is over.",
            BoardTimer.LowBefore => $"Leave the throttle low for {time}.",
            BoardTimer.AutomaticDisarm => $"Leave the throttle low for {time}: the board disarms by itself.",
            BoardTimer.Calibration => $"Wait {time}: the sensors are calibrated.",
        };
    }
}
