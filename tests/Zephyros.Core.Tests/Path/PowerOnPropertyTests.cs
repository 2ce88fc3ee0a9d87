using CsCheck;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Path.PowerOn;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Path;

/// <summary>What the power-on check leaves out must really be harmless: with every warned control where it is wanted, nothing that the
/// others do arms the craft or lifts its throttle.</summary>
public sealed class PowerOnPropertyTests
{
    public static TheoryData<string> Crafts => ["sandpiper", "wren", "gannet", "limited", "two-stage"];

    [Theory]
    [MemberData(nameof(Crafts))]
    public void Whatever_is_left_out_neither_arms_nor_lifts_the_throttle(string craft)
    {
        var setup = Setup(craft);
        var plan = SignalPlan.Compile(setup);
        var free = PowerOnCheck.Of(plan).Where(i => !i.Warns).Select(i => i.Control).ToArray();
        Assert.NotEmpty(free);
        Gen.Double[0, 1]
            .Array[free.Length]
            .Sample(
                places =>
                {
                    var rig = new ModelRig(setup);
                    rig.Settle();
                    for (var i = 0; i < free.Length; i++)
                        rig.Put(free[i], Setting(setup.Transmitter.Controls[free[i]], places[i])).Settle();
                    var arm = setup.Board.Arm!.Value.Value;
                    Assert.False(arm.Contains(new(rig.Sent[arm.Channel.Value - 1])));
                    var throttle = setup.Model.Channels.Values.Single(c => c.Label == "Throttle").Number.Value;
                    Assert.True(rig.Sent[throttle - 1] < setup.Board.ThrottleLow.Value);
                },
                iter: Iterations.Of(100)
            );
    }

    [Theory]
    [MemberData(nameof(Crafts))]
    public void What_the_pilot_adds_is_held_where_it_starts_and_changes_nothing_else(string craft)
    {
        var setup = Setup(craft);
        var before = PowerOnCheck.Of(SignalPlan.Compile(setup));
        foreach (var left in before.Where(i => !i.Warns))
        {
            var control = setup.Transmitter.Controls[left.Control];
            var added = setup with
            {
                Transmitter = setup.Transmitter with
                {
                    Controls = setup.Transmitter.Controls.SetItem(
                        left.Control,
                        control with
                        {
                            WarnedBecause = "I mix it up.",
                        }
                    ),
                },
            };
            var after = PowerOnCheck.Of(SignalPlan.Compile(added));
            var item = after.Single(i => i.Control == left.Control);
            Assert.Equal((true, true, true, "I mix it up."), (item.Warns, item.IsOwn, item.StartFits, item.Reason));
            Assert.Equal(control.StartSetting, item.Setting);
            Assert.Equal(before.Where(i => i != left), after.Where(i => i != item));
        }

        // What must be held anyway is held for its own reason.
        var held = before.First(i => i.Warns);
        var twice = setup with
        {
            Transmitter = setup.Transmitter with
            {
                Controls = setup.Transmitter.Controls.SetItem(
                    held.Control,
                    setup.Transmitter.Controls[held.Control] with
                    {
                        WarnedBecause = "x",
                    }
                ),
            },
        };
        Assert.Equal(before, PowerOnCheck.Of(SignalPlan.Compile(twice)));
    }

    private static Setup Setup(string craft) =>
        craft switch
        {
            "limited" => Demo.Plain.ReadyMade("throttle-limiter", ("active", "right-shoulder:2")),
            "two-stage" => Demo.Plain.ReadyMade("two-stage-arming", ("second", "right-shoulder:2"), ("limit", "1060")),
            _ => Demo.Load(craft),
        };

    private static double Setting(Control control, double place)
    {
        var positions = control.NamedPositions;
        return positions.Count == 0 ? (200 * place) - 100 : positions[(int)(place * 0.999 * positions.Count)].Setting;
    }
}
