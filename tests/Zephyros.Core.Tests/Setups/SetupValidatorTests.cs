using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Setups;

/// <summary>Setups that cannot be: each is refused at its place, with what is wrong there.</summary>
public sealed class SetupValidatorTests
{
    private static readonly Setup Plain = Demo.Plain;

    private static readonly Dictionary<string, (Setup Setup, string Place, string Reason)> Wrong = new(
        StringComparer.Ordinal
    )
    {
        ["two sticks for one axis"] = (
            Plain.WithControl("yaw", c => (StickControl)c with { Axis = StickAxis.Roll }),
            "/transmitter/controls",
            "There must be one stick for roll, not 2."
        ),
        ["a switch that starts beyond its positions"] = (
            Plain.WithControl("left-shoulder", c => (SwitchControl)c with { Start = 3 }),
            "/transmitter/controls/left-shoulder/start",
            "The switch has 2 positions, not 3."
        ),
        ["a safe position in the middle"] = (
            Plain.WithControl("left-front-outer", c => (SwitchControl)c with { Safe = 2 }),
            "/transmitter/controls/left-front-outer/safe",
            "The safe position is an end: 1 or 3."
        ),
        ["readings for another switch"] = (
            Plain.WithControl("left-shoulder", c => (SwitchControl)c with { Readings = [new(-100), new(0), new(100)] }),
            "/transmitter/controls/left-shoulder/readings",
            "The switch has 2 positions, so 3 readings do not fit."
        ),
        ["two positions alike"] = (
            Plain.WithControl("left-shoulder", c => (SwitchControl)c with { Readings = [new(50), new(50)] }),
            "/transmitter/controls/left-shoulder/readings",
            "Two positions have the same reading; they could not be told apart."
        ),
        ["steps on a channel that the link has not"] = (
            Plain.WithAir(a => a with { ChannelSteps = a.ChannelSteps.Add(new(17), 6) }),
            "/air/channelSteps/17",
            "The link has channels 1 to 12, not 17."
        ),
        ["a preset on channel 0"] = (
            Plain.WithAir(a => a with { Presets = a.Presets.Add(new(0), new Microseconds(1000)) }),
            "/air/presets/0",
            "The link has channels 1 to 12, not 0."
        ),
        ["quality beyond the link"] = (
            Plain.WithAir(a => a with { Channels = 8, Receiver = a.Receiver with { QualityOn = 9 } }),
            "/air/receiver/qualityOn",
            "The link has channels 1 to 8, not 9."
        ),
        ["a receiver on no port"] = (
            Plain.WithBoard(b => b with { ReceiverPort = "port-99" }),
            "/board/receiverPort",
            "The board has no port \"port-99\"."
        ),
        ["wander on no channel"] = (
            Plain.WithBoard(b => b with { Wander = b.Wander.Add(new(33), new Microseconds(2)) }),
            "/board/wander/33",
            "A board reads channels 1 to 32, not 33."
        ),
        ["a band without width"] = (
            Plain.WithArm(f => f with { Low = new(1700), High = new(1700) }),
            "/board/functions/arm/high",
            "The band must end above its start (1700 µs), not at 1700 µs."
        ),
        ["a channel number twice"] = (
            Plain.WithChannel("yaw", c => c with { Number = new ChannelNumber(1) }),
            "/model/channels/yaw/number",
            "Channel 1 is already \"roll\"."
        ),
        ["a channel beyond the transmitter"] = (
            Plain.WithChannel("arm", c => c with { Number = new ChannelNumber(20) }),
            "/model/channels/arm/number",
            "sends channels 1 to 16, not 20."
        ),
        ["limits crossed"] = (
            OnDial(
                new LimitStep
                {
                    Order = 1,
                    Low = new(50),
                    High = new(-50),
                }
            ),
            "/model/channels/arm/steps/step-0/low",
            "lies above the high one"
        ),
        ["ends crossed"] = (
            Plain.WithChannel("arm", c => c with { Output = c.Output with { Low = new(60), High = new(20) } }),
            "/model/channels/arm/output/low",
            "must lie below the high end"
        ),
        ["a centre beyond an end"] = (
            Plain.WithChannel("arm", c => c with { Output = c.Output with { Centre = new(100), High = new(90) } }),
            "/model/channels/arm/output/centre",
            "must lie between the ends"
        ),
        ["points that run backwards"] = (
            OnDial(new CurveStep { Order = 1, Points = Points((-100, 0), (50, 0), (20, 0), (100, 0)) }),
            "/model/channels/arm/steps/step-0/points/2/x",
            "must run from left to right: +20 % comes after +50 %."
        ),
        ["a press of a switch"] = (
            Plain.WithCondition("pressed", new PressTest { Control = "left-shoulder" }),
            "/model/conditions/pressed/test/control",
            "\"left-shoulder\" is no button; only a button is pressed."
        ),
        ["a press that ends before it counts"] = (
            Plain.WithCondition(
                "pressed",
                new PressTest
                {
                    Control = "left-button",
                    AtLeast = new(800),
                    Before = new Milliseconds(500),
                }
            ),
            "/model/conditions/pressed/test/before",
            "A press of at least 800 ms cannot end before 500 ms."
        ),
        ["nothing to hold"] = (
            Plain.WithCondition("both", All()),
            "/model/conditions/both/test/of",
            "There must be at least one part."
        ),
        ["a condition that is no longer there"] = (
            Plain.WithCondition("both", All(Holds("nobody"))),
            "/model/conditions/both/test/of/0/condition",
            "nobody"
        ),
        ["an announcement of nothing"] = (
            Announcing(a => a with { When = null }),
            "/model/announcements/said/when",
            "A condition must be named"
        ),
        ["a report that is repeated"] = (
            Announcing(a => a with { When = null, About = AnnouncementSubject.Armed, Every = new Milliseconds(2000) }),
            "/model/announcements/said/every",
            "a report arrives once"
        ),
        ["a mode that the board has not"] = (
            Announcing(a => a with { About = AnnouncementSubject.Mode, Function = "hover" }),
            "/model/announcements/said/function",
            "The board has no function \"hover\"."
        ),
        ["a function that is no mode's"] = (
            Announcing(a => a with { Function = "arm" }),
            "/model/announcements/said/function",
            "Only the announcement of a mode names a function."
        ),
        ["a sensor upside down"] = (
            Plain.InModel(m =>
                m with
                {
                    Sensors = m.Sensors.SetItem(
                        "cells",
                        new Sensor
                        {
                            Label = "Cells",
                            Unit = "V",
                            Lowest = new(5),
                            Highest = new(3),
                            Bench = new(4),
                        }
                    ),
                }
            ),
            "/model/sensors/cells/lowest",
            "must lie below the highest"
        ),
    };

    public static TheoryData<string> Names => [.. Wrong.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void It_is_refused_at_its_place(string name)
    {
        var (setup, place, reason) = Wrong[name];
        Assert.Contains(
            SetupValidator.Check(setup),
            p => p.Place == place && p.Reason.Contains(reason, StringComparison.Ordinal)
        );
    }

    [Fact]
    public void A_condition_with_too_many_parts_is_refused_as_a_whole()
    {
        var many = All([.. Enumerable.Repeat<Test>(At("left-shoulder", 2), 200)]);
        var problem = Assert.Single(SetupValidator.Check(Plain.WithCondition("many", many)));
        Assert.Equal("/model/conditions/many/test", problem.Place);
        Assert.EndsWith("Name some apart.", problem.Reason, StringComparison.Ordinal);
    }

    private static Setup Announcing(Func<Announcement, Announcement> change) =>
        Plain
            .WithCondition("on", At("left-shoulder", 2))
            .InModel(m =>
                m with
                {
                    Announcements = m.Announcements.Add(
                        "said",
                        change(
                            new Announcement
                            {
                                About = AnnouncementSubject.Other,
                                Says = "On",
                                When = "on",
                            }
                        )
                    ),
                }
            );
}
