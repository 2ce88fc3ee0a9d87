using Zephyros.Core.Board;
using Zephyros.Core.Path.Trace;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>One step of a sequence that breaks a promise.</summary>
/// <param name="Sentence">What happens.</param>
/// <param name="Outcome">What the board does then.</param>
/// <param name="Motors">What the motors do then.</param>
/// <param name="Followed">The control whose value is shown along the path.</param>
/// <param name="Stops">Its value at each station, as the simulated bench gave it.</param>
/// <param name="Throttle">What the board reads for its throttle, which may be another stick; null without a signal.</param>
public sealed record ProofStepView(
    string Sentence,
    string Outcome,
    MotorLevel Motors,
    string Followed,
    IReadOnlyList<TraceStop> Stops,
    Microseconds? Throttle
);
