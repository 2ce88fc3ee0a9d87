using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>A moment of a loss: what happens, when after the last packet, and where the craft is by then.</summary>
/// <param name="Kind">What kind of moment.</param>
/// <param name="Text">What happens, in words.</param>
/// <param name="Because">The settings and figures that decide when; empty where there are none.</param>
/// <param name="Earliest">When at best, after the last packet: the frames, and the packets of telemetry, come as they come.</param>
/// <param name="Latest">When at worst.</param>
/// <param name="Far">How far the craft has come by the latest.</param>
/// <param name="High">How high it is by then.</param>
public sealed record LossMark(
    LossMarkKind Kind,
    string Text,
    string Because,
    Milliseconds Earliest,
    Milliseconds Latest,
    Metres Far,
    Metres High
)
{
    /// <summary>When, in words.</summary>
    public string When => LossWords.Span(Earliest, Latest);

    /// <summary>How far, in words.</summary>
    public string Away => LossWords.Far(Far);
}
