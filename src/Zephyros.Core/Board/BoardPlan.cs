using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>A board's settings made ready: which value is compared with what, and which bit of a <see cref="BoardView"/> says what.</summary>
public sealed class BoardPlan
{
    /// <summary>So far above where thrust begins (the activation limit, or the throttle-low limit), thrust is more than a change at the threshold: a twentieth of the travel.</summary>
    [Figure(
        Station.Board,
        "Thrust that a hand notices begins, above where thrust begins, at",
        ProvenanceKind.OwnAssumption
    )]
    public static readonly Microseconds NoticeableThrust = new(50);

    private readonly BoardAtom[] atoms;

    /// <summary>Makes a valid board ready.</summary>
    public BoardPlan(FlightBoard board)
    {
        Board = board;
        Functions = [.. board.Functions.OrderBy(f => f.Key, StringComparer.Ordinal)];
        ArmBits = BitsOf(FunctionKind.Arm);
        ConsentBits = BitsOf(FunctionKind.ArmConsent);
        ConflictBits = BitsOf(FunctionKind.AutomaticTrim, FunctionKind.AutomaticTune);
        CutBits = BitsOf(FunctionKind.ThrottleCut);
        SelfRightBits = BitsOf(FunctionKind.SelfRight);
        StabiliseBits = BitsOf(FunctionKind.ZeroThrottleStabilisation);
        LossBits = BitsOf(FunctionKind.LossProcedure);
        atoms = [.. Comparisons()];
    }

    /// <summary>The settings.</summary>
    public FlightBoard Board { get; }

    /// <summary>The functions in the order of their bits.</summary>
    public IReadOnlyList<KeyValuePair<string, BoardFunction>> Functions { get; }

    /// <summary>Every comparison that the board makes.</summary>
    public IReadOnlyList<BoardAtom> Atoms => atoms;

    /// <summary>The bit of the arm function.</summary>
    public ulong ArmBits { get; }

    /// <summary>The bits of the arming consents. Of several, any one suffices, as of several bands of one function: common practice, no
    /// source.</summary>
    public ulong ConsentBits { get; }

    /// <summary>The bits of what must not be on while arming: automatic trim and tuning.</summary>
    public ulong ConflictBits { get; }

    /// <summary>The bits of the throttle cuts.</summary>
    public ulong CutBits { get; }

    /// <summary>The bits of turning over after a crash.</summary>
    public ulong SelfRightBits { get; }

    /// <summary>The bits of stabilisation at zero throttle.</summary>
    public ulong StabiliseBits { get; }

    /// <summary>The bits of the loss procedure on purpose.</summary>
    public ulong LossBits { get; }

    /// <summary>Everything that lets a motor turn or holds it back.</summary>
    public ulong MotorBits =>
        BoardView.LowBit
        | BoardView.ThrustBit
        | ArmBits
        | ConsentBits
        | ConflictBits
        | CutBits
        | LossBits
        | SelfRightBits
        | StabiliseBits
        | (SelfRightBits != 0 || StabiliseBits != 0 || SticksBringBack ? BoardView.DeflectedBit : 0);

    // A deflected stick ends a landing or a return.
    private bool SticksBringBack =>
        Board.Loss is { Recovery: FlightRecovery.StickMoved, Procedure: not LossProcedure.Stop };

    /// <summary>The bit of a function.</summary>
    /// <param name="index">Its place among <see cref="Functions"/>.</param>
    public static ulong BitOf(int index) => 1UL << (BoardView.FirstFunction + index);

    /// <summary>The bits of all functions of some kinds.</summary>
    public ulong BitsOf(params ReadOnlySpan<FunctionKind> kinds)
    {
        var bits = 0UL;
        for (var i = 0; i < Functions.Count; i++)
            if (kinds.Contains(Functions[i].Value.Kind))
                bits |= BitOf(i);
        return bits;
    }

    /// <summary>Reads the values of a good frame.</summary>
    /// <param name="received">The value of each received channel, channel 1 first. A channel that is missing activates nothing.</param>
    public BoardView View(ReadOnlySpan<Microseconds> received)
    {
        var bits = 0UL;
        foreach (ref readonly var atom in atoms.AsSpan())
            if (atom.Channel < received.Length && atom.Holds(received[atom.Channel].Value))
                bits |= atom.Bit;
        return new BoardView(bits);
    }

    /// <summary>How long a timer of the board runs; null when the board has no such timer.</summary>
    public Milliseconds? Duration(BoardTimer timer) =>
        timer switch
        {
            BoardTimer.FramesMissing => Board.SignalTimeout,
            BoardTimer.Grace => Board.Loss.Grace,
            BoardTimer.Landing => Board.Loss.LandingTime,
            BoardTimer.LowBefore => Board.Loss.LowBefore,
            BoardTimer.AutomaticDisarm => Board.Guards.DisarmsAfter,
            BoardTimer.Calibration => Board.Guards.Calibration,
        };

    private IEnumerable<BoardAtom> Comparisons()
    {
        var throttle = Board.Map.ChannelOf(StickAxis.Throttle).Value - 1;
        var low = Board.OnWire(StickAxis.Throttle, Board.ThrottleLow).Value;
        yield return BoardAtom.Below(BoardView.LowBit, throttle, low);
        yield return Board.ActivationLimit is { } limit
            ? BoardAtom.Above(BoardView.ThrustBit, throttle, limit.Value)
            : BoardAtom.AtLeast(BoardView.ThrustBit, throttle, low);
        var start = Board.ActivationLimit?.Value ?? low;
        yield return BoardAtom.AtLeast(BoardView.WellUpBit, throttle, start + NoticeableThrust.Value);
        foreach (var axis in new[] { StickAxis.Roll, StickAxis.Pitch, StickAxis.Yaw })
        {
            var channel = Board.Map.ChannelOf(axis).Value - 1;
            double Away(double far) => Board.OnWire(axis, new Microseconds(Board.Centre.Value + far)).Value;
            yield return BoardAtom.Below(BoardView.DeflectedBit, channel, Away(-Board.Deflected.Value));
            yield return BoardAtom.Above(BoardView.DeflectedBit, channel, Away(Board.Deflected.Value));
        }

        for (var i = 0; i < Functions.Count; i++)
        {
            var function = Functions[i].Value;
            yield return new BoardAtom(
                BitOf(i),
                function.Channel.Value - 1,
                function.Low.Value,
                Math.BitDecrement(function.High.Value)
            );
        }
    }
}
