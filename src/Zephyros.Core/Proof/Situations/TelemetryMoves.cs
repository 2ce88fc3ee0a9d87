namespace Zephyros.Core.Proof.Situations;

/// <summary>What brings telemetry and takes it away: where it stands after something happened, or that it stays as it is.</summary>
/// <param name="input">The place of telemetry among the inputs; negative where it makes no difference.</param>
internal sealed class TelemetryMoves(int input)
{
    /// <summary>True when telemetry can arrive in a situation.</summary>
    public static bool Arrives(in Situation now) => now is { Radio: RadioState.Up, Board.Powered: true };

    /// <summary>Where telemetry stands after something happened, for an input of a cell; null when it stays.</summary>
    public int? After(Happening happening) => input < 0 ? null : After(happening.Kind, happening.Value);

    /// <summary>The same where telemetry makes a difference.</summary>
    public static int? After(MoveKind kind, int value) =>
        kind == MoveKind.TransmitterOff ? ProofScope.TelemetryLost
        : value == ProofScope.TelemetryStays ? null
        : kind
            is MoveKind.RadioLost
                or MoveKind.RadioBack
                or MoveKind.PowerOff
                or MoveKind.PowerOn
                or MoveKind.TransmitterOn
            ? value
        : null;

    /// <summary>True when a movement can be made in a situation: telemetry comes only by radio, from a craft with power.</summary>
    public bool Allows(in Situation now, (int Input, int Cell)[] move)
    {
        foreach (var (moved, cell) in move)
            if (moved == input && cell != ProofScope.TelemetryLost && !Arrives(now))
                return false;
        return true;
    }

    /// <summary>What may come of a move that may bring telemetry: it comes with the first packet, or later, or was not missed at all.</summary>
    public IEnumerable<Happening> Heard(MoveKind kind, bool comes)
    {
        if (comes || input < 0)
            yield return new(kind);
        if (input >= 0)
            yield return new(kind, ProofScope.TelemetryStays);
    }

    /// <summary>What may come of a move that takes it away: it is missed at once, or later, which is a move of its own.</summary>
    public IEnumerable<Happening> Missed(MoveKind kind)
    {
        if (input < 0)
        {
            yield return new(kind);
            yield break;
        }

        yield return new(kind, ProofScope.TelemetryLost);
        yield return new(kind, ProofScope.TelemetryStays);
    }
}
