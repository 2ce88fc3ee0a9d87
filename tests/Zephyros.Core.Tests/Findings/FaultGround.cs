using System.Collections.Immutable;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Findings;

/// <summary>The setup into which faults are planted. It stands by itself, since every table of faults begins with it.</summary>
internal static class FaultGround
{
    /// <summary>The plain setup with a lock, two states that reach a channel, a limiter: all of it clean.</summary>
    public static Setup Full { get; } =
        (Demo.Plain with { Transmitter = Demo.Plain.Transmitter with { ShortNames = 15 } })
            .WithChannel("beeper", c => c with { Short = "Beeper" })
            .InModel(m => m with { Sensors = Demo.Sandpiper.Model.Sensors })
            .WithBoard(b => b with { Equipment = Demo.Sandpiper.Board.Equipment })
            .ReadyMade("throttle-lock", ("arm", "left-shoulder:2"))
            .ReadyMade("throttle-limiter", ("dial", "left-dial"), ("active", "right-shoulder:2"))
            .WithStates(("cruise", null), ("practice", "limiter-on"))
            .WithStep("mode", "state", States(("cruise", 0), ("practice", 50)));

    public static Setup WithStates(this Setup setup, params (string Id, string? When)[] states) =>
        setup.InModel(m =>
            m with
            {
                States = states
                    .Select(
                        (s, i) =>
                            (
                                s.Id,
                                State: new FlightState
                                {
                                    Label = s.Id,
                                    Order = i,
                                    When = s.When,
                                }
                            )
                    )
                    .ToImmutableDictionary(s => s.Id, s => s.State, StringComparer.Ordinal),
            }
        );

    public static StateStep States(params (string State, double Value)[] values) =>
        new()
        {
            Order = 90,
            Values = values.ToImmutableDictionary(v => v.State, v => new Percent(v.Value), StringComparer.Ordinal),
        };

    /// <summary>A condition that is announced every three seconds while it holds.</summary>
    public static Setup WithWarning(this Setup setup, string condition, string says) =>
        setup.InModel(m =>
            m with
            {
                Announcements = m.Announcements.Add(
                    condition,
                    new Announcement
                    {
                        Says = says,
                        About = AnnouncementSubject.Other,
                        When = condition,
                        Every = new(3000),
                    }
                ),
            }
        );
}
