using CsCheck;
using Zephyros.Core.Findings;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Measure;

/// <summary>Positions of switches, measured beside the plan; and what a measured wander does to findings and proof.</summary>
public sealed class PositionTests
{
    [Theory]
    [MemberData(nameof(Demo.Names), MemberType = typeof(Demo))]
    public void What_is_as_planned_asks_for_nothing(string id)
    {
        var plan = SignalPlan.Compile(Demo.Load(id));
        var answer = PositionSolver.Solve(plan, SimulatedMeasurement.Positions(plan));
        Assert.All(answer.Positions, p => Assert.InRange(Math.Abs(p.Off.Value), 0, 0.5));
        Assert.DoesNotContain(answer.Fixes, f => f.Edit.Title == "Keep the measured wander");
    }

    // A transmitter with other ends than written down: written down as measured, the plan gives them within half a step and half a µs.
    [Fact]
    public void Measured_ends_are_written_down()
    {
        (
            from low in Gen.Double[-120, -102]
            from middle in Gen.Double[-20, 20]
            from high in Gen.Double[70, 110]
            select (low, middle, high)
        ).Sample(
            ends =>
            {
                var real = Demo.Plain.WithChannel(
                    "mode",
                    c =>
                        c with
                        {
                            Output = c.Output with
                            {
                                Low = new(ends.low),
                                Centre = new(ends.middle),
                                High = new(ends.high),
                            },
                        }
                );
                var seen = OnChannel(real, 6);
                var answer = PositionSolver.Solve(SignalPlan.Compile(Demo.Plain), seen);
                var fix = answer.Fixes.Single(f => f.Words.StartsWith("If channel 6", StringComparison.Ordinal));
                var after = fix.Edit.ApplyTo(Demo.Plain).Setup!;
                var step =
                    Demo.Plain.Transmitter.TravelStep.Value * Demo.Plain.Transmitter.Scale.MicrosecondsPerPercent();
                foreach (var (one, other) in seen.Zip(OnChannel(after, 6)))
                    Assert.InRange(Math.Abs(one.Value.Value - other.Value.Value), 0, (step / 2) + 1.5);
            },
            iter: Iterations.Of(60)
        );
    }

    [Fact]
    public void Bands_are_fitted_to_what_was_measured()
    {
        // The far end gives less than the arm band begins with.
        PositionSeen[] seen = [Seen("left-shoulder", 1, 5, 1010), Seen("left-shoulder", 2, 5, 1610)];
        var answer = PositionSolver.Solve(SignalPlan.Compile(Demo.Plain), seen);
        Assert.False(answer.Positions[1].AsPlanned);
        var fitted = answer.Fixes.Single(f => f.Edit.Title == "Fit bands to the measurement").Edit.ApplyTo(Demo.Plain);
        var arm = fitted.Setup!.Board.Functions["arm"];
        Assert.True(arm.Contains(new(1610)) && !arm.Contains(new(1010)));
        var again = PositionSolver.Solve(SignalPlan.Compile(fitted.Setup), seen);
        Assert.All(again.Positions, p => Assert.Equal(p.Seen.Setting == 2, p.Has.Contains("arm")));
    }

    // The same switch works another channel the other way round: what it gives there is not what this band is fitted to.
    [Fact]
    public void A_band_is_fitted_to_its_own_channel_alone()
    {
        var setup = Demo.Plain.WithChannel("beeper", c => c with { Take = Build.Hand("left-shoulder") });
        var other = setup.Model.Channels["beeper"].Number.Value;
        PositionSeen[] seen =
        [
            Seen("left-shoulder", 1, 5, 1010),
            Seen("left-shoulder", 2, 5, 1610),
            Seen("left-shoulder", 1, other, 1990),
            Seen("left-shoulder", 2, other, 1005),
        ];
        var arm = PositionSolver
            .Solve(SignalPlan.Compile(setup), seen)
            .Fixes.Select(f => f.Edit.ApplyTo(setup).Setup!.Board.Functions["arm"])
            .First(f => f.Contains(new(1610)));
        Assert.False(arm.Contains(new(1010)));
        Assert.True(arm.High.Value > 1990);
    }

    [Theory]
    [InlineData("left-shoulder", 9, 5, 1500, "/seen/1/setting")]
    [InlineData("nobody", 1, 5, 1500, "/seen/1/setting")]
    [InlineData("left-shoulder", 1, 5, 1500, "/seen/1")]
    [InlineData("left-shoulder", 2, 5, 1010, "/seen/1/value")]
    public void What_cannot_be_measured_is_refused(string control, int setting, int channel, double value, string place)
    {
        PositionSeen[] seen = [Seen("left-shoulder", 1, 5, 1010), Seen(control, setting, channel, value)];
        Assert.Equal([place], PositionSolver.Problems(Demo.Plain, seen).Select(p => p.Place));
    }

    // The arm switch arrives 12 µs inside its band. Measured to wander by more, it is found, and the proof plays on the bench how the motors
    // stop without the pilot's doing; with less, both are content. Fitted bands content both again.
    [Fact]
    public void A_measured_wander_is_kept_and_feeds_margins_findings_and_proof()
    {
        var far = OnChannel(Demo.Plain, 5)[1].Value.Value;
        var near = Demo.Plain.WithArm(f => f with { Low = new(far - 12) });
        Assert.Equal(VerdictKind.Proven, Stops(near));
        foreach (var jitter in new[] { 4, 14 })
        {
            PositionSeen[] seen =
            [
                Seen("left-shoulder", 1, 5, 988, jitter),
                Seen("left-shoulder", 2, 5, Math.Round(far), jitter),
            ];
            var answer = PositionSolver.Solve(SignalPlan.Compile(near), seen);
            var kept = answer.Fixes.Single(f => f.Edit.Title == "Keep the measured wander").Edit.ApplyTo(near).Setup!;
            Assert.InRange(kept.Board.WanderOn(new(5)).Value, jitter, jitter + 1);
            var finding = Examination
                .Of(kept)
                .SingleOrDefault(f => f.Key.StartsWith("band-too-near", StringComparison.Ordinal));
            var crosses = jitter > 10;
            Assert.Equal(crosses ? VerdictKind.Broken : VerdictKind.Proven, Stops(kept));
            Assert.Equal(crosses, finding is not null);
            if (finding is null)
                continue;
            Assert.Contains(
                Verdict(kept).Path,
                s => s.Sentence.Contains("5 (AUX 1) trembles by", StringComparison.Ordinal)
            );
            var mended = finding.Fixes.Single().Edit.ApplyTo(kept).Setup!;
            Assert.Empty(Examination.Of(mended));
            Assert.Equal(VerdictKind.Proven, Stops(mended));
        }
    }

    // Thrust counts as added from 50 µs above the threshold: a throttle that wanders by less in all adds none by itself.
    [Theory]
    [InlineData(5, true)]
    [InlineData(24, true)]
    [InlineData(30, false)]
    public void A_throttle_that_wanders_far_adds_thrust_by_itself(double wander, bool proven)
    {
        var setup = Demo.Plain.WithBoard(b => b with { Wander = b.Wander.Add(new(3), new(wander)) });
        Assert.Equal(proven ? VerdictKind.Proven : VerdictKind.Broken, Verdict(setup, "no-switch-adds-thrust").Kind);
    }

    [Fact]
    public void A_wander_is_of_a_channel_that_there_is()
    {
        var wrong = Demo.Plain.WithBoard(b => b with { Wander = b.Wander.Add(new(33), new(2)) });
        Assert.Equal(["/board/wander/33"], SetupValidator.Check(wrong).Select(p => p.Place));
    }

    private static VerdictKind Stops(Setup setup) => Verdict(setup).Kind;

    private static PromiseVerdict Verdict(Setup setup, string promise = "no-accidental-stop") =>
        new Prover(SignalPlan.Compile(setup), Build.Patient).Prove(
            PromiseList.All.Single(p => p.Code == promise),
            null,
            CancellationToken.None
        );

    private static PositionSeen[] OnChannel(Setup setup, int channel) =>
        [.. SimulatedMeasurement.Positions(SignalPlan.Compile(setup)).Where(p => p.Channel.Value == channel)];

    private static PositionSeen Seen(string control, int setting, int channel, double value, double jitter = 0) =>
        new()
        {
            Control = control,
            Setting = setting,
            Channel = new(channel),
            Value = new(value),
            Jitter = new(jitter),
        };
}
