using CsCheck;
using Zephyros.Core.Bench;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>What a ready-made battery alarm says on the bench, against a plain loop over the readings that came, which knows nothing of
/// conditions, latches and delays.</summary>
public sealed class AlarmOracleTests
{
    private const int Cells = 6;

    // The clock of a transmitter that works out its model every 10 ms, and one packet of it.
    private const double Slack = 0.021;

    // What is due at the instant at which a packet comes is done first.
    private const double Rounding = 1e-6;

    private static readonly Gen<(double Volts, int Ms)[]> Series = Gen.Select(
        Gen.OneOf(Gen.Double[18.5, 23.5], Gen.Double[0, 12], Gen.Double[20.2, 20.6]),
        Gen.OneOf(Gen.Int[40, 700], Gen.Int[1500, 9000])
    ).Array[5, 40];

    [Fact]
    public void A_plain_loop_says_the_same_at_the_same_times()
    {
        var spoken = 0;
        Gen.Select(Series, Gen.Int[0, 40], Gen.Int[0, 4], Gen.Int[10, 60])
            .Sample(
                (series, wait, release, every) =>
                {
                    var (onDelay, band, repeat) = (wait / 10.0, release / 20.0, every / 10.0);
                    var setup = Alarm(onDelay, band, repeat).WithQuickVoice();
                    var bench = new BenchRun(setup);
                    var heard = new List<(double At, double Volts)>();
                    var told = 0.0;
                    foreach (var (volts, ms) in series)
                    {
                        bench.Report("voltage", new Reading(Math.Round(volts, 2)));
                        var end = bench.Now + TimeSpan.FromMilliseconds(ms);
                        while (bench.Now < end)
                        {
                            // No two readings come in one such step: they are 160 ms apart.
                            bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(80));
                            var known = bench.Snapshot("throttle").Sensors["voltage"];
                            if (known.HeardAt is { } at && at.Value > told)
                                heard.Add(((told = at.Value) / 1000, bench.ReadingOf("voltage")));
                        }
                    }

                    var said = bench
                        .Log.After(0)
                        .Where(e => e.Kind == LogKind.Said && e.Text.StartsWith("Battery", StringComparison.Ordinal))
                        .Select(e => e.At.Value / 1000)
                        .ToArray();
                    var expected = Oracle(heard, onDelay, band, repeat, bench.Now.TotalSeconds);
                    // What falls due just as the series ends may be on either side of it.
                    expected.RemoveAll(t => t > bench.Now.TotalSeconds - Slack);
                    said = [.. said.Where(t => t <= bench.Now.TotalSeconds - Slack)];
                    var words = $"expected {string.Join(" ", expected)}, said {string.Join(" ", said)}";
                    Assert.True(expected.Count == said.Length, words);
                    Interlocked.Add(ref spoken, said.Length);
                    for (var i = 0; i < said.Length; i++)
                        Assert.True(Math.Abs(expected[i] - said[i]) < Slack, words);
                },
                iter: Iterations.Of(40)
            );
        Score.Tell($"battery alarm: {spoken} times spoken, as a plain loop says");
        Assert.True(spoken > 100, $"{spoken} times spoken");
    }

    // Readings hold until the next one comes. Low is above the mask and below the level, for as long as the delay; over is above the band.
    private static List<double> Oracle(
        List<(double At, double Volts)> heard,
        double wait,
        double band,
        double repeat,
        double end
    )
    {
        var (level, mask, over) = (Cells * 3.4, Cells * 1.5, Math.Round(Cells * (3.4 + band), 2));
        var said = new List<double>();
        double? since = null;
        var speaks = false;
        for (var i = 0; i < heard.Count; i++)
        {
            var (at, volts) = heard[i];
            var next = i + 1 < heard.Count ? heard[i + 1].At : end;
            if (volts > over)
                speaks = false;
            var low = volts > mask && volts < level;
            since = low ? since ?? at : null;
            if (!speaks && since is { } begun && begun + wait <= next + Rounding)
            {
                speaks = true;
                said.Add(Math.Max(at, begun + wait));
            }

            while (speaks && said[^1] + repeat <= next + Rounding)
                said.Add(said[^1] + repeat);
        }

        return said;
    }

    private static Setup Alarm(double wait, double band, double repeat)
    {
        var bare = Demo
            .Clean.InModel(m =>
                m with
                {
                    Announcements = m.Announcements.Remove("battery"),
                    Conditions = m.Conditions.Remove("battery-low"),
                    Sensors = m.Sensors.Set("voltage", s => s with { Decimals = null }),
                }
            )
            .WithBoard(b => b with { Equipment = new() { Divider = true } });
        return bare.ReadyMade(
            "battery-alarm",
            ("level", "3.4"),
            ("wait", Words(wait)),
            ("release", Words(band)),
            ("every", Words(repeat))
        );
    }

    private static string Words(double number) => number.ToString(System.Globalization.CultureInfo.InvariantCulture);
}
