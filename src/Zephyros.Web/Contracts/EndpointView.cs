using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Web.Contracts;

/// <summary>What follows from sweeping the sticks, with the edit for each place.</summary>
/// <param name="Answer">What follows.</param>
/// <param name="AtBoard">Tells the board the spans.</param>
/// <param name="AtTransmitter">Sets the transmitter's ends.</param>
/// <param name="AtBoth">Sets the transmitter's ends, and tells the board what is left.</param>
public sealed record EndpointView(EndpointAnswer Answer, SetupEdit AtBoard, SetupEdit AtTransmitter, SetupEdit AtBoth);
