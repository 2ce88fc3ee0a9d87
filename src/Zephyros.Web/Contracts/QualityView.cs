using Zephyros.Core.Path.Budgets;
using Zephyros.Core.Setups;

namespace Zephyros.Web.Contracts;

/// <summary>Where the signal quality could travel, and how to see that it does.</summary>
/// <param name="Free">The channels that nothing uses, the advised ones first.</param>
/// <param name="TestByReceiver">What must be seen when the transmitter is switched off and the receiver puts the quality in.</param>
/// <param name="TestByTransmitter">What is seen when the transmitter sends it back up.</param>
public sealed record QualityView(IReadOnlyList<QualityChoice> Free, string TestByReceiver, string TestByTransmitter)
{
    /// <summary>Works it out for a setup.</summary>
    public static QualityView Of(Setup setup) =>
        new(
            QualityChannels.Free(setup),
            QualityChannels.TestByReceiver(setup),
            QualityChannels.TestByTransmitter(setup)
        );
}
