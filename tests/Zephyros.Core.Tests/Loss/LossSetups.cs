using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Loss;

/// <summary>Craft with random settings for a loss of the signal.</summary>
internal static class LossSetups
{
    public static Setup Next(Random random)
    {
        var setup = (random.Next(3) == 0 ? Demo.Wren : Demo.Plain).Located();
        var presets = new Dictionary<ChannelNumber, Microseconds>();
        for (var channel = 1; channel <= 8; channel++)
            if (random.Next(3) > 0)
                presets[new(channel)] = new(random.Next(4) == 0 ? 2000 : random.Next(988, 2012));
        return setup
            .WithAir(a =>
                a with
                {
                    TelemetryEvery = random.Next(3) == 0 ? random.Next(1, 257) : a.TelemetryEvery,
                    PacketRate = random.Next(3) == 0 ? new(random.Next(25, 500)) : a.PacketRate,
                    GivesUpAfter = random.Next(3) == 0 ? null : new(random.Next(100, 2000)),
                    OnLoss = random.Next(2) == 0 ? ReceiverLoss.Silent : (ReceiverLoss)random.Next(3),
                    Presets = presets.ToImmutableDictionary(),
                }
            )
            .WithBoard(b =>
                b with
                {
                    SignalTimeout = new(random.Next(50, 1500)),
                    Loss = new LossSettings
                    {
                        Grace = new(random.Next(3) == 0 ? 0 : random.Next(1, 4000)),
                        GraceValues = (GraceValues)random.Next(2),
                        Procedure = (LossProcedure)random.Next(3),
                        LandingTime = new(random.Next(100, 9000)),
                        Recovery = (FlightRecovery)random.Next(2),
                        FlownOnly = random.Next(2) == 0,
                        Beeper = (LossBeeper)random.Next(3),
                        LowBefore = random.Next(3) == 0 ? new(random.Next(100, 3000)) : null,
                    },
                }
            );
    }
}
