using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>Two-stage arming against its truth table. Common practice, no source: the board activates control at
/// 1060 us and idles below; the low end is 1070 us while unlocked, and the throttle is forced to its lowest while locked. Order: second
/// switch off, arm, throttle down, second switch on; disarm, second switch off.</summary>
public sealed class TwoStageTruthTableTests
{
    // Armed, then throttle up or not, then the second switch: what the motors do.
    public static TheoryData<bool, bool, bool, MotorLevel> Table =>
        new()
        {
            { false, false, false, MotorLevel.Off },
            { false, false, true, MotorLevel.Off },
            { false, true, false, MotorLevel.Off },
            { false, true, true, MotorLevel.Off },
            { true, false, false, MotorLevel.Idle },
            { true, false, true, MotorLevel.Thrust },
            { true, true, false, MotorLevel.Idle },
            // The throttle must be low when the second switch goes on: a raised one stays locked.
            { true, true, true, MotorLevel.Idle },
        };

    [Theory]
    [MemberData(nameof(Table))]
    public void The_motors_follow_the_table(bool arm, bool up, bool second, MotorLevel motors)
    {
        var bench = new BenchRun(Setup(mustBeLow: true));
        bench.AdvanceTo(TimeSpan.FromMilliseconds(100));
        foreach (
            var (control, setting) in new[]
            {
                ("left-shoulder", arm ? 2.0 : 1),
                ("throttle", up ? 20 : -100),
                ("right-shoulder", second ? 2 : 1),
            }
        )
        {
            bench.Move(control, setting);
            bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(50));
        }

        Assert.Equal(motors, bench.Snapshot("throttle").Motors);
    }

    // "A raised throttle at the second step makes it jump", unless the transmitter asks for a low throttle there.
    [Theory]
    [InlineData(true, VerdictKind.Proven)]
    [InlineData(false, VerdictKind.Broken)]
    public void A_raised_throttle_at_the_second_step_is_what_the_proof_finds(bool mustBeLow, VerdictKind verdict) =>
        Assert.Equal(
            verdict,
            new Prover(SignalPlan.Compile(Setup(mustBeLow)), new ProofLimits())
                .Prove(
                    PromiseList.All.Single(p => p.Code == "no-switch-adds-thrust"),
                    null,
                    TestContext.Current.CancellationToken
                )
                .Kind
        );

    private static Zephyros.Core.Setups.Setup Setup(bool mustBeLow) =>
        Demo.Plain.ReadyMade(
            "two-stage-arming",
            ("second", "right-shoulder:2"),
            ("limit", "1060"),
            ("low", mustBeLow ? "yes" : "no")
        );
}
