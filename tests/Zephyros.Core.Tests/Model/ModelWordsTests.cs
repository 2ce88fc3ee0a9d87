using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Model;

/// <summary>Conditions and steps as the pilot reads them.</summary>
public sealed class ModelWordsTests
{
    private static readonly PositionTest ArmOn = At("left-shoulder", 2);
    private static readonly CompareTest ThrottleLow = Below(Hand("throttle"), -98);

    public static TheoryData<Test, string> Sentences =>
        new()
        {
            { ArmOn, "Left shoulder is far" },
            { At("right-front-inner", 2, 3), "Right front, inner is mid or far" },
            { ThrottleLow, "Throttle is below −98 %" },
            { All(ThrottleLow, ArmOn), "Throttle is below −98 % and Left shoulder is far" },
            {
                Any(All(ThrottleLow, ArmOn), Holds("cut-on")),
                "(Throttle is below −98 % and Left shoulder is far) or “Cut on” holds"
            },
            { Not(Holds("cut-on")), "“Cut on” does not hold" },
            { Not(ThrottleLow), "not (Throttle is below −98 %)" },
            { Not(ThrottleLow, ArmOn), "none of (Throttle is below −98 % or Left shoulder is far)" },
            {
                Latch(All(ArmOn, ThrottleLow), Not(ArmOn)),
                "set once Left shoulder is far and Throttle is below −98 %, until not (Left shoulder is far)"
            },
            { new TelemetryLostTest(), "telemetry is lost" },
            {
                new StateTest { State = "practice" },
                "the flight state is Practice"
            },
            {
                new SensorTest
                {
                    Sensor = "distance",
                    Relation = Relation.Above,
                    Limit = new Reading(600),
                },
                "Distance home is above 600 m"
            },
            {
                new DelayTest
                {
                    Of = [ArmOn],
                    OnAfter = new Milliseconds(2000),
                    OffAfter = new Milliseconds(500),
                },
                "Left shoulder is far for 2 s, and 0.5 s longer"
            },
            {
                new PressTest { Control = "right-button", AtLeast = new Milliseconds(1500) },
                "Right button is held for 1.5 s"
            },
            {
                new PressTest { Control = "right-button", Before = new Milliseconds(600) },
                "Right button was pressed for less than 0.6 s"
            },
            { Above(new ChannelSource { Channel = "camera" }, 10), "channel Camera tilt is above +10 %" },
        };

    [Theory]
    [MemberData(nameof(Sentences))]
    public void A_condition_is_a_sentence(Test test, string sentence) => Assert.Equal(sentence, Words.Of(test));

    public static TheoryData<ChainStep, string> Steps =>
        new()
        {
            {
                new ScaleStep
                {
                    Order = 1,
                    Scale = new Percent(200),
                    Shift = new Percent(-100),
                },
                "× 200 %, shift by −100 %"
            },
            {
                new ScaleStep { Order = 1, Shift = new Percent(100) },
                "shift by +100 %"
            },
            {
                new AddStep { Order = 1, With = With(Hand("left-dial"), 25, -25) },
                "add Left dial × 25 % −25 %"
            },
            {
                new MultiplyStep { Order = 1, With = With(Constant(50)) },
                "multiply by +50 %"
            },
            {
                new SwitchOverStep
                {
                    Order = 1,
                    When = "cut-on",
                    With = With(new ConditionSource { Condition = "cut-on" }),
                },
                "switch over to condition Cut on, while Cut on"
            },
            {
                new SlowStep { Order = 1, Up = new PercentPerSecond(150) },
                "slow: up 150 %/s, down at once"
            },
            {
                new LimitStep { Order = 1, Low = new Percent(-80) },
                "limit to −80 % and +100 %"
            },
            {
                new CurveStep
                {
                    Order = 1,
                    Points = Points((-100, 0), (0, 0), (100, 0)),
                    Smooth = true,
                    Off = true,
                },
                "curve of 3 points, rounded (off)"
            },
        };

    [Theory]
    [MemberData(nameof(Steps))]
    public void A_step_says_what_it_does(ChainStep step, string words) => Assert.Equal(words, Words.Of(step));

    private static ModelWords Words => new(Demo.Sandpiper.Transmitter, Demo.Sandpiper.Model);
}
