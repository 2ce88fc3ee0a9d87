using Zephyros.Core.Air;

namespace Zephyros.Core.Setups.Validation;

/// <summary>Checks a radio system that a pilot has written down.</summary>
public static class LinkProfileCheck
{
    private const int MostModes = 20;
    private const int MostBindSteps = 30;

    /// <summary>What is wrong with it; nothing when it can be kept.</summary>
    public static IReadOnlyList<SetupProblem> Of(LinkProfile profile)
    {
        var problems = new List<SetupProblem>();
        if (LinkProfiles.BuiltIn.Any(p => p.Id == profile.Id))
            problems.Add(new("/id", $"\"{profile.Id}\" is the id of a profile that comes with the program."));
        if (profile.Modes.IsDefaultOrEmpty || profile.Modes.Length > MostModes)
            problems.Add(new("/modes", $"A profile has 1 to {MostModes} modes."));
        else
            foreach (var (index, mode) in profile.Modes.Index())
            foreach (var number in mode.ChannelSteps.Keys)
                if (number.Value < 1 || number.Value > mode.Channels)
                    problems.Add(
                        new(
                            $"/modes/{index}/channelSteps/{number.Value}",
                            $"The mode has channels 1 to {mode.Channels}, not {number.Value}."
                        )
                    );
        if (profile.Bind.Length > MostBindSteps)
            problems.Add(new("/bind", $"At most {MostBindSteps} steps, not {profile.Bind.Length}."));
        return problems;
    }

    /// <summary>A profile with one mode, the one that a setup has; what its own profile says of receivers and binding stays.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="id">The id of the profile that is made.</param>
    /// <param name="name">Its name.</param>
    /// <param name="known">The profile that the setup was made from, or null.</param>
    public static LinkProfile From(Setup setup, string id, string name, LinkProfile? known) =>
        new()
        {
            Id = id,
            Name = name,
            Summary = $"As on {setup.Craft.Name}.",
            Frequency = setup.Air.Frequency,
            OnLoss = known?.OnLoss ?? [setup.Air.OnLoss],
            QualityOnChannel = known?.QualityOnChannel ?? true,
            Bind = known?.Bind ?? [],
            Modes =
            [
                new LinkMode
                {
                    Name = $"{setup.Air.Channels} channels, {setup.Air.PacketRate} packets",
                    PacketRate = setup.Air.PacketRate,
                    Channels = setup.Air.Channels,
                    Sensitivity = setup.Air.Sensitivity,
                    ChannelSteps = setup.Air.ChannelSteps,
                    ReservesArmChannel = setup.Air.ReservesArmChannel,
                    TelemetryEvery = setup.Air.Telemetry ? setup.Air.TelemetryEvery ?? 1 : null,
                },
            ],
        };
}
