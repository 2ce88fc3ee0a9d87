using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Many random steps of a real bench, with any value of the grid and any timing, land in states that the proof has found, each
/// by a step that it allows: what is proven of the abstraction holds of the bench.</summary>
public sealed class SoundnessTests
{
    private static readonly long DemoSteps = Iterations.Deep ? 1_000_000 : 50_000;

    [Theory]
    [MemberData(nameof(Demo.Names), MemberType = typeof(Demo))]
    public void Every_state_of_a_demo_bench_was_found(string name) =>
        Walk(Demo.Load(name) is var setup && name == "sandpiper" ? Demo.Clean : setup, DemoSteps, 1);

    // A deflected stick ends the landing, and nothing else on this board asks for one.
    [Fact]
    public void Every_state_of_a_craft_that_a_stick_brings_back_was_found() =>
        Walk(
            Demo.Plain.WithBoard(b =>
                b with
                {
                    Functions = b.Functions.Remove("self-right"),
                    Loss = new LossSettings
                    {
                        Grace = new(300),
                        Procedure = LossProcedure.Land,
                        Recovery = FlightRecovery.StickMoved,
                    },
                }
            ),
            20_000,
            1
        );

    // Where the curve is flat the dial decides alone, at other values than where both do.
    [Fact]
    public void Every_state_of_a_craft_with_a_flat_curve_and_a_dial_was_found() =>
        Walk(
            Demo.Plain.WithStep(
                    "throttle",
                    "flat",
                    new CurveStep { Order = 1, Points = Points((-100, -100), (-90, -90), (60, -90), (100, 60)) }
                )
                .WithStep("throttle", "dial", new AddStep { Order = 2, With = With(Hand("left-dial"), scale: 15) }),
            20_000,
            1
        );

    [Fact]
    public void Every_step_of_a_craft_whose_throttle_moves_slowly_is_allowed() =>
        Walk(
            Demo.Plain.WithStep(
                    "throttle",
                    "slow",
                    new SlowStep
                    {
                        Order = 9,
                        Up = new(50),
                        Down = new(80),
                    }
                )
                .WithGuards(g => g with { DisarmsOnlyWhenLow = true }),
            20_000,
            1
        );

    // Where two dials decide together, either of them decides within a cell of its own.
    [Fact]
    public void Every_step_of_a_craft_that_two_dials_arm_is_allowed() =>
        Walk(
            Demo.Plain.WithChannel("arm", c => c with { Take = Hand("left-dial") })
                .WithStep("arm", "both", new AddStep { Order = 1, With = With(Hand("right-dial")) }),
            20_000,
            1
        );

    // An arm switch and a throttle that tremble across their edges.
    [Fact]
    public void Every_step_of_a_craft_that_trembles_is_allowed() =>
        Walk(
            Demo.Plain.WithArm(f => f with { Low = new(2005) })
                .WithBoard(b => b with { Wander = b.Wander.Add(new(3), new(40)).Add(new(5), new(15)) }),
            20_000,
            1
        );

    [Fact]
    public void Every_state_of_a_random_bench_was_found()
    {
        for (var seed = 0; seed < Iterations.OfProofs(12); seed++)
            Walk(new RandomCraft(seed).Make(), 500, seed);
    }

    private sealed class Nothing : Watch
    {
        public override int Next(int monitor, in Change change) => 0;
    }

    private static void Walk(Setup setup, long steps, int seed)
    {
        var plan = SignalPlan.Compile(setup);
        var prover = new Prover(plan, Build.Patient);
        var check = new PromiseCheck(plan.Board.MotorBits, () => new Nothing());
        var model = prover.ModelFor(check);
        Assert.Equal("", model.Scope.Obstacle);
        var explorer = prover.ExplorerFor(check, new Nothing());
        var explored = explorer.Explore(
            prover.Starts(model, declared: false),
            null,
            TestContext.Current.CancellationToken
        );
        Assert.Equal(ExplorationEnding.Exhausted, explored.Ending);

        // Where the board's times fall among the model's waits is not seen.
        var numbers = explorer.System.Situations.Index().ToLookup(s => s.Item with { Timers = 0 }, s => s.Index);
        var map = new BenchMap(model);
        var random = new Random(seed);
        var bench = new BenchRun(setup);
        bench.SetPower(false);
        bench.SetTransmitter(false);
        bench.AdvanceTo(setup.Transmitter.RestartTime.ToTimeSpan());
        bench.SetTransmitter(true);
        var told = new List<string>();
        var allowed = new AllowedSteps(model, explorer.System);
        ProofState[] last = [];
        for (var step = 0L; step < steps; step++)
        {
            // Putting everything so that the board may arm is several moves at once.
            var many = random.Next(25) == 0 || bench is { Link: false, TransmitterOn: false };
            var wasOn = bench.TransmitterOn;
            told.Add(many ? Arm(bench) : Act(bench, plan, random));
            // What was measured to wander does, within its bounds.
            bench.Tremble(
                setup.Board.Wander.ToDictionary(
                    w => w.Key,
                    w => new Microseconds(((2 * random.NextDouble()) - 1) * w.Value.Value)
                )
            );
            // Long enough for a frame, so that the board has seen what was done.
            bench.AdvanceTo(bench.Now + (2 * setup.Wire.FramePeriod.ToTimeSpan()) + Wait(random));
            // Just after a frame the board has seen all that the model has worked out, also what moves by itself.
            var period = setup.Wire.FramePeriod.ToTimeSpan().Ticks;
            bench.AdvanceTo(new TimeSpan((bench.Now.Ticks / period * period) + period));
            // A transmitter starts when its time has come, whatever else is done meanwhile.
            if (bench.TransmitterOn && !wasOn)
            {
                many = true;
                bench.AdvanceTo(bench.Now + (2 * setup.Wire.FramePeriod.ToTimeSpan()));
            }

            var (word, bit, memories) = map.Transmitter(bench);
            var situations = map.Situations(bench);
            ProofState[] found =
            [
                .. from situation in situations
                from number in numbers[situation]
                from memory in memories
                select new ProofState(word, bit, memory, number) into state
                where explorer.Found(state)
                select state,
            ];
            if (found.Length == 0)
                Assert.Fail(Story("not found"));
            // How open comparisons came out is not seen; one way must be allowed.
            if (!many && last.Length > 0)
                found = [.. found.Where(f => last.Any(before => allowed.Allows(before, f)))];
            if (found.Length == 0)
                Assert.Fail(Story("not allowed"));
            last = found;

            string Story(string what) =>
                $"{what}: seed {seed}, step {step}: {situations[0]} with {string.Join('/', memories)} after {string.Join('/', last)}\n{string.Join('\n', told.TakeLast(12))}";
        }
    }

    // What a walk without aim seldom does: everything is put so that the board may arm.
    private static string Arm(BenchRun bench)
    {
        bench.SetLink(true);
        bench.SetTransmitter(true);
        bench.SetPower(true);
        bench.Surround(default);
        bench.Move("throttle", -100);
        bench.Move("left-shoulder", 1);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(2));
        bench.Move("left-shoulder", 2);
        return "arm";
    }

    private static TimeSpan Wait(Random random) =>
        TimeSpan.FromMilliseconds(
            random.Next(60) switch
            {
                // A landing takes ten seconds, and most of a wait is frames without news.
                0 => random.Next(20_000),
                < 7 => random.Next(1500),
                _ => random.Next(20),
            }
        );

    private static string Act(BenchRun bench, SignalPlan plan, Random random)
    {
        switch (random.Next(30))
        {
            case 0:
                bench.SetPower(!bench.Power);
                return $"power {bench.Power}";
            case 1:
                bench.SetLink(!bench.Link);
                return $"link {bench.Link}";
            case 2:
                // The proof lets the link be back with the transmitter.
                bench.SetLink(true);
                bench.SetTransmitter(!bench.TransmitterOn);
                return $"transmitter switched {bench.TransmitterOn}";
            case 3 or 4:
                return Surround(bench, random);
            case 6:
                bench.SetTelemetry(!bench.Telemetry);
                return $"telemetry {bench.Telemetry}";
            case 5 when plan.Model.Sensors.Count > 0:
                var (sensor, made) = plan.Model.Sensors[random.Next(plan.Model.Sensors.Count)];
                var span = made.Highest.Value - made.Lowest.Value;
                var reading = random.Next(6) == 0 ? 0 : made.Lowest.Value + (span * random.NextDouble());
                bench.Report(sensor, new Reading(reading));
                return $"{sensor} {reading}";
            default:
                var (id, control) = plan.Model.Controls[random.Next(plan.Model.Controls.Count)];
                var setting =
                    control.NamedPositions.Count > 0
                        ? control.NamedPositions[random.Next(control.NamedPositions.Count)].Setting
                        : Percent(random);
                bench.Move(id, setting);
                return $"{id} {setting}";
        }
    }

    // A value of the transmitter's grid, often near the low end.
    private static double Percent(Random random) =>
        -100 + (200.0 * random.Next(random.Next(4) == 0 ? 82 : 2049) / 2048);

    // Turns the craft, or plugs the cable; not both at once.
    private static string Surround(BenchRun bench, Random random)
    {
        var board = bench.Setup.Board;
        var around = bench.Surroundings;
        if (random.Next(2) == 0 && board.Guards.RefusesConnected)
        {
            var usb = SituationSystem.Around(board, Orientation.Level, (UsbState)random.Next(3));
            around = usb with { Tilt = around.Tilt };
        }
        else
        {
            var tilts = board.Guards.TiltLimit is { Value: < 90 };
            var turns = board.Guards.TiltLimit is not null || new BoardPlan(board).SelfRightBits != 0;
            var lies = (Orientation)random.Next(3);
            if (turns && (tilts || lies != Orientation.Tilted))
                around = around with { Tilt = SituationSystem.Around(board, lies, UsbState.None).Tilt };
        }

        bench.Surround(around);
        return around.ToString();
    }
}
