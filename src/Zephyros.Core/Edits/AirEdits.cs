using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Edits;

/// <summary>Edits of the link. Each is a pure function of the setup.</summary>
public static class AirEdits
{
    /// <summary>Sets a link up from a mode of a radio system. What the pilot has written down of modules, receiver and region stays.</summary>
    public static SetupEdit UseProfile(Setup setup, LinkProfile profile, LinkMode mode) =>
        InAir(
            setup,
            $"{profile.Name}: {mode.Name}",
            air =>
                air with
                {
                    Profile = profile.Id,
                    Frequency = profile.FrequencyIn(air.Region),
                    Channels = mode.Channels,
                    PacketRate = mode.PacketRate,
                    Sensitivity = mode.Sensitivity,
                    ChannelSteps = mode.ChannelSteps,
                    ReservesArmChannel = mode.ReservesArmChannel,
                    Telemetry = mode.TelemetryEvery is not null,
                    TelemetryEvery = mode.TelemetryEvery,
                    OnLoss =
                        profile.OnLoss.IsEmpty || profile.OnLoss.Contains(air.OnLoss) ? air.OnLoss : profile.OnLoss[0],
                    Presets = Fitting(air.Presets, mode.Channels),
                    Receiver =
                        air.Receiver.QualityOn > mode.Channels ? air.Receiver with { QualityOn = null } : air.Receiver,
                }
        );

    /// <summary>Switches one radio module on and all others off.</summary>
    public static SetupEdit ModuleOn(Setup setup, string module) =>
        InAir(
            setup,
            $"{setup.Air.Modules[module].Label} alone is on",
            air =>
                air with
                {
                    Modules = air.Modules.ToImmutableDictionary(
                        m => m.Key,
                        m => m.Value with { On = m.Key == module },
                        StringComparer.Ordinal
                    ),
                }
        );

    /// <summary>Changes the link.</summary>
    public static SetupEdit InAir(Setup setup, string title, Func<LinkSettings, LinkSettings> change) =>
        SetupEdit.Between(title, setup, setup with { Air = change(setup.Air) });

    // Presets of channels that the link no longer has would be refused.
    private static ImmutableDictionary<ChannelNumber, Microseconds> Fitting(
        ImmutableDictionary<ChannelNumber, Microseconds> presets,
        int channels
    ) => presets.Where(p => p.Key.Value <= channels).ToImmutableDictionary();

    /// <summary>Takes over what a range check found: at a distance so many packets came, which free space would bring much farther.</summary>
    /// <param name="setup">The setup, with the power of the check.</param>
    /// <param name="quality">The share of packets that came, more than 0 and less than 100 %.</param>
    /// <param name="measured">The distance, more than 0.</param>
    public static SetupEdit RangeChecked(Setup setup, Percent quality, Kilometres measured)
    {
        var allowance = LinkBudget.AllowanceOf(setup.Air, LinkBudget.MarginAt(quality), measured);
        var whole = new Decibels(Math.Round(allowance.Value, 1));
        return SetupEdit.Between(
            $"Range check: the surroundings take {whole}",
            setup,
            setup with
            {
                Air = setup.Air with { Allowance = whole },
            }
        );
    }
}
