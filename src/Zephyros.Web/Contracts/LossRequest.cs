using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Craft;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>A loss of the signal that is to be played.</summary>
/// <param name="Throttle">Where the throttle stick stands, in percent.</param>
/// <param name="Fix">True while the board has a position fix.</param>
/// <param name="Flight">The flight at the loss; null for the setup's own, or the usual one where it has none.</param>
public sealed record LossRequest([property: Range(-100, 100)] Percent Throttle, bool Fix, FlightAtLoss? Flight = null);
