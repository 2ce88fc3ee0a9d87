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
}
