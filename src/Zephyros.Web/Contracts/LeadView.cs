using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>What must be left in the battery for the way home.</summary>
/// <param name="Time">How long the way takes, with its reserve.</param>
/// <param name="Charge">The charge that it takes.</param>
/// <param name="Share">Its share of a full battery.</param>
/// <param name="Voltage">The pack then, under the current of the way.</param>
public sealed record LeadView(Milliseconds Time, MilliampHours Charge, Percent Share, Volts Voltage)
{
    /// <summary>Works it out; null where it cannot be.</summary>
    public static LeadView? Of(Setup setup) =>
        NeededLead.Of(setup.Craft) is { } lead
            ? new(new(lead.Time.TotalMilliseconds), lead.Charge, lead.Share, lead.Voltage)
            : null;
}
