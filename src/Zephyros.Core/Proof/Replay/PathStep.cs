using Zephyros.Core.Board;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Replay;

/// <summary>One step of a sequence that breaks a promise.</summary>
/// <param name="Kind">What happens; null for the start.</param>
/// <param name="Sentence">What happens, as a sentence.</param>
/// <param name="Inputs">For a movement: where each moved control goes; for the start: where each control that matters stands.</param>
/// <param name="Value">The timer, the part of the model, the orientation, the state of the cable, or what becomes of telemetry.</param>
/// <param name="Situation">The situation after it.</param>
/// <param name="Outcome">What the board does after it, in words.</param>
public sealed record PathStep(
    MoveKind? Kind,
    string Sentence,
    IReadOnlyList<StepInput> Inputs,
    int Value,
    Situation Situation,
    string Outcome
)
{
    /// <summary>How long nothing is done before this step.</summary>
    public TimeSpan Wait { get; init; }

    /// <summary>How long it then takes until the board has seen it.</summary>
    public TimeSpan Settling { get; init; }

    /// <summary>How far channels arrive beside what the wire carries in this step, within what they were measured to wander.</summary>
    public required IReadOnlyDictionary<ChannelNumber, Microseconds> Trembles { get; init; }

    /// <summary>The board after it.</summary>
    public BoardState Board => Situation.Board;
}
