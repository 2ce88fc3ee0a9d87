using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Edits;

/// <summary>Exactly what each edit writes, at its limits too: the last channel, an id that is taken, nothing to remove, what no longer fits.</summary>
public sealed class EditsRecordedTests
{
    // Its "arm" does not arm, its "quality" is a lamp; presets, quality and steps reach to channel 12.
    private static readonly Setup Odd = Demo
        .Plain.WithBoard(b =>
            b with
            {
                Functions = b
                    .Functions.Set("arm", f => f with { Kind = FunctionKind.Own })
                    .Add("quality", b.Functions["beeper"] with { Label = "Lamp", Kind = FunctionKind.Own }),
            }
        )
        .WithAir(a =>
            a with
            {
                OnLoss = ReceiverLoss.Hold,
                Presets = a
                    .Presets.SetItem(new(3), new(988))
                    .SetItem(new(8), new(1500))
                    .SetItem(new(9), new(1500))
                    .SetItem(new(12), new(1500)),
                Receiver = a.Receiver with { QualityOn = 12 },
            }
        )
        .InModel(m => m with { Sensors = Demo.Sandpiper.Model.Sensors }) with
    {
        Transmitter = Demo.Plain.Transmitter with { Channels = 32 },
    };

    private static readonly Setup Shows = QualityEdits.ByReceiver(Odd, new(9)).ApplyTo(Odd).Setup!;

    [Fact]
    public void Edits_write_what_they_wrote() =>
        Recorded.AssertSame(
            "edits",
            from made in All()
            from line in (made.Edit is null ? ["  none"] : Recorded.Told(made.Edit)).Prepend($"# {made.Name}")
            select line
        );

    [Fact]
    public void Each_edit_leads_to_a_valid_setup()
    {
        foreach (var (name, edit) in All())
            if (edit is not null)
                Assert.Empty(
                    edit.ApplyTo(name.StartsWith("shows", StringComparison.Ordinal) ? Shows : Odd)
                        .Problems.Select(p => $"{name} {p.Place}")
                );
    }

    private static IEnumerable<(string Name, SetupEdit? Edit)> All()
    {
        yield return ("send R T E A", ModelEdits.SendOrder(Odd, StickOrder.Parse("RTEA")));
        yield return (
            "send what is sent",
            ModelEdits.SendOrder(Odd, ChannelOrder.Of(Odd.Model, Odd.Transmitter)!.Value)
        );
        yield return (
            "send an order with a stick missing",
            ModelEdits.SendOrder(
                Odd.WithChannel("yaw", c => c with { Take = Build.Hand("left-dial") }),
                StickOrder.Parse("RTEA")
            )
        );
        yield return ("read T A E R", BoardEdits.ReadOrder(Odd, StickOrder.Parse("TAER")));
        yield return (
            "promise as usual, nothing decided",
            DecisionEdits.DecidePromise(Odd, "no-leap", "No leap", null)
        );
        yield return (
            "promise off",
            DecisionEdits.DecidePromise(Odd, "no-leap", "No leap", new() { On = false, Note = "bench" })
        );
        yield return (
            "promise kept broken",
            DecisionEdits.DecidePromise(Odd, "no-leap", "No leap", new() { On = true, Note = "known" })
        );
        foreach (var port in Odd.Board.Ports.Keys.Order(StringComparer.Ordinal))
            yield return ($"receiver on {port}", WireEdits.ReceiverOn(Odd, port));
        foreach (var format in Enum.GetValues<WireFormat>())
            yield return ($"speak {format}", WireEdits.SpeakFormat(Odd, format));
        foreach (var period in new[] { 0.5, 1.94, 1.96, 2.04, 7.06, 49.96, 60 })
            yield return (
                $"speak duplex every {period} ms",
                WireEdits.SpeakFormat(Odd, WireFormat.Duplex, new(period))
            );
        yield return ("port 2 alone is the receiver's", WireEdits.ReceiverSetOnly(Odd, "port-2"));
        yield return ("no port is the receiver's", WireEdits.ReceiverSetOnly(Odd, null));
        yield return ("receiver speaks duplex", WireEdits.ReceiverSpeaks(Odd, WireFormat.Duplex));
        yield return ("mode to the last channel", ModelEdits.MoveChannel(Odd, "mode", new(32)));
        yield return ("arm to channel 8", ModelEdits.MoveChannel(Odd, "arm", new(8)));
        foreach (var number in new[] { 5, 8, 12 })
            yield return ($"quality by the receiver on {number}", QualityEdits.ByReceiver(Odd, new(number)));
        foreach (var number in new[] { 8, 32 })
            yield return (
                $"quality by the transmitter on {number}",
                QualityEdits.ByTransmitter(Odd, new(number), "distance")
            );
        yield return ("shows the quality elsewhere", QualityEdits.ByReceiver(Shows, new(10)));
        foreach (var profile in LinkProfiles.BuiltIn)
        foreach (var mode in profile.Modes)
            yield return ($"profile {profile.Id}, {mode.Name}", AirEdits.UseProfile(Odd, profile, mode));
        yield return ("watch AUX 28", BoardEdits.WatchAux(Odd, "beeper", 28));
        yield return ("watch what is watched", BoardEdits.WatchAux(Odd, "beeper", Odd.Board.Functions["beeper"].Aux));
        yield return ("band 900 to 2100", BoardEdits.MoveBand(Odd, "beeper", new(900), new(2100)));
        yield return ("throttle low below 1013", BoardEdits.LimitThrottleLow(Odd, new(1013)));
        yield return ("feed the last channel", ModelEdits.Feed(Odd, new(32), "left-dial"));
        yield return ("feed a channel that has steps", ModelEdits.Feed(Odd, new(6), "left-dial"));
        yield return (
            "arm with the left shoulder on AUX 28",
            BoardEdits.ArmWith(Odd, "left-shoulder", 28, new(1700), new(2100))
        );
        yield return (
            "arm with the right shoulder on a fed channel",
            BoardEdits.ArmWith(Odd, "right-shoulder", 2, new(1700), new(2100))
        );
        yield return ("take back a justification that there is not", DecisionEdits.Justify(Odd, "a:b", ""));
        yield return ("justify", DecisionEdits.Justify(Odd, "a:b", "on purpose"));
        yield return (
            "leave",
            ModelEdits.SetOutput(
                Odd,
                "Ends",
                "yaw",
                new()
                {
                    Low = new(-90),
                    Centre = new(1),
                    High = new(91),
                    Reverse = true,
                }
            )
        );
    }
}
