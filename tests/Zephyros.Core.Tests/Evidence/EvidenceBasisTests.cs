using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Evidence;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Evidence;

/// <summary>Evidence stands until something that it depends on is changed, and stands again when that is taken back.</summary>
public sealed class EvidenceBasisTests
{
    private static readonly Setup Setup = Demo.Plain;

    private static readonly MeasurementRecord Sticks = new()
    {
        Wiggles = [new WiggleSeen { Moved = StickAxis.Roll, Bar = StickAxis.Roll }],
    };

    private static readonly MeasurementRecord Arm = new()
    {
        Positions =
        [
            new PositionSeen
            {
                Control = "left-shoulder",
                Setting = 2,
                Channel = new ChannelNumber(5),
                Value = new Microseconds(2012),
            },
        ],
    };

    private static readonly Dictionary<string, Setup> OnTheWay = new(StringComparer.Ordinal)
    {
        ["the transmitter's scale"] = Setup with { Transmitter = Setup.Transmitter with { Scale = PulseScale.Narrow } },
        ["the board's map"] = Setup.WithBoard(b => b with { Map = StickOrder.Parse("TAER") }),
        ["the board's spans"] = Setup.WithBoard(b =>
            b with
            {
                Spans = b.Spans.Add(StickAxis.Yaw, new ChannelSpan { Low = new(990), High = new(2010) }),
            }
        ),
        ["the wire format"] = Setup with { Wire = Setup.Wire with { Format = WireFormat.Duplex } },
        ["the trim of Pitch"] = Setup.InModel(m => m with { Trims = m.Trims.SetItem("pitch", new(8)) }),
        ["how values are rounded on the wire"] = Setup with
        {
            Wire = Setup.Wire with { Rounding = CountRounding.Truncate },
        },
        ["the steps of the link on channel 2"] = Setup.WithAir(a =>
            a with
            {
                ChannelSteps = a.ChannelSteps.SetItem(new(2), 64),
            }
        ),
        ["the receiver"] = Setup.WithAir(a => a with { Receiver = a.Receiver with { Family = "another" } }),
        ["the channel of Pitch"] = Setup.WithChannel(
            "pitch",
            c => c with { Output = c.Output with { Low = new(-90) } }
        ),
    };

    private static readonly Setup Latched = Setup
        .WithCondition("held", Build.At("left-shoulder", 2))
        .WithOverride("throttle", "held", -100);

    public static TheoryData<string> Parts => [.. OnTheWay.Keys];

    [Theory]
    [MemberData(nameof(Parts))]
    public void A_measurement_is_stale_when_its_way_is_changed_and_says_which_part(string part)
    {
        var basis = EvidenceBasis.OfMeasurement(Setup, Sticks);
        Assert.Equal([part], EvidenceBasis.Changed(OnTheWay[part], Sticks, basis));
        Assert.Empty(EvidenceBasis.Changed(Setup, Sticks, basis));
    }

    [Fact]
    public void What_is_not_on_the_way_of_what_was_measured_leaves_it_standing()
    {
        var other = Setup
            .WithArm(f => f with { Low = new(1650) })
            .WithControl("left-shoulder", c => c with { Alias = "Wing" })
            .WithChannel("roll", c => c with { Label = "Ailerons" })
            .WithCondition("on", Build.At("left-shoulder", 2));
        Assert.Empty(Since(Setup, Sticks, other));
        // The arm channel counts only where it was measured, the sticks where they were.
        var arm = Setup.WithChannel("arm", c => c with { Output = c.Output with { High = new(80) } });
        Assert.Empty(Since(Setup, Sticks, arm));
        Assert.Equal(["the channel of Arm"], Since(Setup, Arm, arm));
        Assert.Empty(Since(Setup, Arm, OnTheWay["the channel of Pitch"]));
    }

    // A measurement of two switches depends on both of them, and on no third.
    [Fact]
    public void The_switches_that_were_measured_count_and_no_other()
    {
        var record = Arm with { Positions = [.. Arm.Positions, Arm.Positions[0] with { Control = "right-shoulder" }] };
        Setup Changed(string control) =>
            Setup.WithControl(
                control,
                c =>
                    (SwitchControl)c with
                    {
                        Readings =
                        [
                            .. Enumerable.Range(1, ((SwitchControl)c).Positions).Select(p => new Percent(20 * p)),
                        ],
                    }
            );
        Assert.Contains("the control Left shoulder", Since(Setup, Arm, Changed("left-shoulder")));
        Assert.Empty(Since(Setup, Arm, Changed("right-shoulder")));
        Assert.Contains("the control Right shoulder", Since(Setup, record, Changed("right-shoulder")));
        Assert.Empty(Since(Setup, record, Changed("right-back-switch")));
    }

    [Fact]
    public void A_channel_that_is_gone_makes_what_was_measured_on_it_stale()
    {
        var without = Setup.InModel(m => m with { Channels = m.Channels.Remove("arm") });
        Assert.Contains("the channel of Arm", Since(Setup, Arm, without));
    }

    [Fact]
    public void What_has_come_on_the_way_since_makes_it_stale_and_what_was_taken_from_it()
    {
        Assert.Equal(
            [
                "what is forced on Throttle",
                "the control Left shoulder",
                "the trim of Left shoulder",
                "the condition held",
            ],
            Since(Setup, Sticks, Latched)
        );
        Assert.Contains("what is forced on Throttle", Since(Latched, Sticks, Setup));
        Assert.Equal(
            ["the condition held"],
            Since(Latched, Sticks, Latched.WithCondition("held", Build.At("left-shoulder", 1)))
        );
    }

    // A basis that lists places of the document left out trims, steps of the link and conditions.
    [Fact]
    public void Whether_a_measurement_with_a_basis_of_the_old_kind_stands_nobody_can_tell() =>
        Assert.Single(
            EvidenceBasis.Changed(Setup, Sticks, [new BasisPart("/transmitter/scale", "the transmitter's scale", "")])
        );

    private static IReadOnlyList<string> Since(Setup then, MeasurementRecord record, Setup now) =>
        EvidenceBasis.Changed(now, record, EvidenceBasis.OfMeasurement(then, record));

    [Fact]
    public void A_bind_depends_on_who_speaks_to_whom_and_on_nothing_else()
    {
        var basis = EvidenceBasis.OfBind(Setup);
        Assert.Empty(EvidenceBasis.Changed(OnTheWay["the board's map"], basis));
        Assert.Equal(
            ["the band", "the receiver's behaviour on a loss"],
            EvidenceBasis.Changed(
                Setup.WithAir(a =>
                    a with
                    {
                        Frequency = new Megahertz(a.Frequency.Value + 10),
                        OnLoss = ReceiverLoss.Hold,
                    }
                ),
                basis
            )
        );
    }

    [Theory]
    [InlineData(true)]
    [InlineData(true, true, true)]
    [InlineData(false, false)]
    [InlineData(false, true, false)]
    [InlineData(false, false, true)]
    public void A_bind_went_as_expected_when_each_step_did(bool expected, params bool[] steps) =>
        Assert.Equal(
            expected,
            new BindRecord
            {
                Steps = [.. steps.Select(s => new BindStepSeen { Do = "x", AsExpected = s })],
            }.WentAsExpected
        );

    [Fact]
    public void What_a_measurement_depends_on_is_told_in_the_order_of_the_channels()
    {
        var parts = EvidenceBasis.OfMeasurement(Demo.Plain, Sticks).Select(p => p.Path).ToArray();
        Assert.Equal(
            ["overrides/roll", "overrides/pitch", "overrides/throttle", "overrides/yaw"],
            parts.Where(p => p.StartsWith("overrides/", StringComparison.Ordinal))
        );
    }
}
