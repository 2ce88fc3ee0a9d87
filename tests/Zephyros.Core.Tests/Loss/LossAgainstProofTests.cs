using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Loss;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Loss;

/// <summary>Random losses on the bench, hands moving meanwhile: none does what is proven never to happen.</summary>
public sealed class LossAgainstProofTests
{
    private static readonly int LossesEach = Iterations.Deep ? 250 : 50;
    private static readonly TimeSpan Look = TimeSpan.FromMilliseconds(3);

    [Fact]
    public void No_loss_contradicts_a_proven_promise()
    {
        var random = new Random(10_000);
        var (losses, proven) = (0, new HashSet<string>(StringComparer.Ordinal));
        for (var i = 0; i < Iterations.OfProofs(8); i++)
        {
            var setup = LossSetups.Next(random);
            var prover = new Prover(SignalPlan.Compile(setup), new ProofLimits());
            string[] codes =
            [
                .. PromiseList
                    .All.Where(p => p is LossIsHandled or QuietReceiver or LossInTime)
                    .Where(p => prover.Prove(p, null, TestContext.Current.CancellationToken).Kind == VerdictKind.Proven)
                    .Select(p => p.Code),
            ];
            proven.UnionWith(codes);
            for (var n = 0; n < LossesEach; n++)
            {
                losses++;
                var throttle = new Percent(random.Next(3) == 0 ? -100 : random.Next(-60, 101));
                if (ArmedBench.Of(setup, throttle, random.Next(2) == 0) is not { } armed)
                    continue;
                foreach (var (code, what) in new Watched(armed.Bench.Fork(), random).Play())
                    Assert.False(
                        codes.Contains(code, StringComparer.Ordinal),
                        $"{i}, {n}: {code} is proven, but {what}"
                    );
            }
        }

        Assert.Equal(3, proven.Count);
        TestContext.Current.SendDiagnosticMessage($"losses: {losses} against {proven.Count} promises");
    }

    /// <summary>A bench that loses its signal once or twice, looked at every few milliseconds by plain rules.</summary>
    private sealed class Watched(BenchRun bench, Random random)
    {
        private readonly List<(string Code, string What)> seen = [];
        private bool stoppedByLoss;

        public IReadOnlyList<(string Code, string What)> Play()
        {
            for (var turn = 0; turn < random.Next(1, 3); turn++)
            {
                Pass(random.NextDouble() * 0.8, lost: null);
                var (lost, wasArmed) = (bench.Now, bench.Board.Armed);
                bench.SetLink(false);
                Pass(random.NextDouble() * (random.Next(3) == 0 ? 0.3 : 8), wasArmed ? lost : null);
                bench.SetLink(true);
                Pass(random.NextDouble() * 2, lost: null);
            }

            return seen;
        }

        // Now and then a hand moves something.
        private void Pass(double seconds, TimeSpan? lost)
        {
            var until = bench.Now + TimeSpan.FromSeconds(seconds);
            while (bench.Now < until)
            {
                if (random.Next(60) == 0)
                    MoveSomething();
                var before = bench.Board;
                bench.AdvanceTo(bench.Now + Look);
                See(before, bench.Board, lost);
            }
        }

        private void MoveSomething()
        {
            var (id, control) = bench.Setup.Transmitter.Controls.ElementAt(
                random.Next(bench.Setup.Transmitter.Controls.Count)
            );
            bench.Move(
                id,
                control.NamedPositions.Count > 0
                    ? control.NamedPositions[random.Next(control.NamedPositions.Count)].Setting
                    : random.Next(-100, 101)
            );
        }

        private void See(BoardState before, BoardState now, TimeSpan? lost)
        {
            var frames = bench.FramesArrive;
            if (!bench.Link && frames && bench.Linked && bench.Now > lost + TimeSpan.FromMilliseconds(50))
            {
                if (now.ArmRequested)
                    seen.Add(("quiet-receiver", "the receiver asks to arm without radio"));
                if (now.Armed)
                    seen.Add(("loss-is-handled", "it is armed, and the board does not know of the loss"));
            }

            var setup = bench.Setup;
            var within = setup.Limits.LossNoticedWithin.ToTimeSpan() + Look;
            // What is still armed and takes the signal for good, or waits, has not begun its procedure.
            if (
                lost is { } at
                && bench.Now - at > within
                && now.Armed
                && now.Signal is BoardSignal.Good or BoardSignal.Grace
            )
                seen.Add(("loss-in-time", $"after {bench.Now - at} it has not begun"));
            if (!bench.Link && before.Armed && !now.Armed && !frames)
                stoppedByLoss = true;
            if (stoppedByLoss && now.HasSignal && !now.ArmRequested)
                stoppedByLoss = false;
            if (stoppedByLoss && now.Armed)
                seen.Add(("loss-is-handled", "it is armed again, and the arm switch was not seen off"));
        }
    }
}
