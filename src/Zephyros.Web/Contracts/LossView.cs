using Zephyros.Core.Craft;
using Zephyros.Core.Loss;

namespace Zephyros.Web.Contracts;

/// <summary>A loss of the signal, second by second.</summary>
/// <param name="Flight">The flight that it is reckoned with.</param>
/// <param name="Timeline">What happens; null when no hands that were tried arm the craft.</param>
/// <param name="Headline">How it ends, in one sentence.</param>
public sealed record LossView(FlightAtLoss Flight, LossTimeline? Timeline, string Headline);
