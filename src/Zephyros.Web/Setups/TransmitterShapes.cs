using Zephyros.Core.Hands;
using Zephyros.Storage;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Setups;

/// <summary>The transmitters that a craft can start from: the blank ones, and the pilot's own as they stand on other craft.</summary>
internal static class TransmitterShapes
{
    /// <summary>All of them; of transmitters with the same name the first craft's.</summary>
    public static IReadOnlyList<TransmitterShape> Of(SetupStore store) =>
        [
            .. BlankTransmitters.All.Select(t => new TransmitterShape(t.Origin, t.Name, t)),
            .. store
                .List()
                .DistinctBy(s => s.Setup.Transmitter.Name, StringComparer.Ordinal)
                .Select(s => new TransmitterShape(
                    $"craft:{s.Id}",
                    $"{s.Setup.Transmitter.Name}, as on {s.Setup.Craft.Name}",
                    s.Setup.Transmitter
                )),
        ];
}
