using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Reference;

/// <summary>The third judge: wants to break promises, and knows nothing but the bench and what the promises say in words. It moves what a
/// pilot and the world can move, at random, often from where it has met something new.</summary>
internal sealed class BreakSearcher
{
    private const int LongestRun = 60;

    // Promises that blame a movement.
    private static readonly HashSet<string> Blaming = ["one-control-arms", "safe-end-is-safe"];

    private readonly Setup setup;
    private readonly Random random;
    private readonly List<BenchAct[]> interesting =
    [
        [],
    ];
    private readonly HashSet<BoardState> met = [];
    private readonly double[] places;

    /// <summary>Gets ready.</summary>
    public BreakSearcher(Setup setup, int seed)
    {
        (this.setup, random) = (setup, new Random(seed));
        // Where the model compares a stick or dial with something, both sides of it are worth a try.
        places = [-100, -99.9, -97, -95.2, -50, -12.5, 0, 33.2, 60, 100];
    }

    /// <summary>What was broken: the code of the promise, what was seen, and after how many moves in all.</summary>
    public Dictionary<string, (string Seen, int Moves)> Broken { get; } = new(StringComparer.Ordinal);

    /// <summary>Searches.</summary>
    /// <param name="moves">How many moves it may make.</param>
    /// <param name="until">A promise that is enough; null to go on to the end.</param>
    public void Search(int moves, string? until = null)
    {
        for (var made = 0; made < moves && (until is null || !Broken.ContainsKey(until)); )
        {
            var quiet = random.Next(5) == 0;
            var told = quiet ? [] : interesting[random.Next(interesting.Count)].ToList();
            var run = new JudgedRun(setup, quiet ? random.Next() : null);
            foreach (var act in told)
                run.Do(act);
            for (var i = 0; i < LongestRun && made < moves; i++, made++)
            {
                var act = quiet ? World() : Anything(run);
                told.Add(act);
                run.Do(act);
                foreach (var (code, seen) in run.Broken.ToArray())
                    if (!Broken.ContainsKey(code) && (!Blaming.Contains(code) || Caused(run, told)))
                        Broken.Add(code, ($"{seen}: {string.Join("; ", told)}", made));
                if (!quiet && met.Add(run.Bench.Board) && told.Count < LongestRun)
                    interesting.Add([.. told]);
            }
        }
    }

    // Without the last act the same time would have passed: what comes about all the same is not its doing.
    private bool Caused(JudgedRun run, List<BenchAct> told)
    {
        var other = new JudgedRun(setup, null);
        foreach (var act in told.SkipLast(1))
            other.Do(act);
        other.Do(new(BenchActKind.Wait));
        return (other.Bench.Board.Armed, other.Bench.Board.Motors) != (run.Bench.Board.Armed, run.Bench.Board.Motors);
    }

    private BenchAct Anything(JudgedRun run) =>
        random.Next(10) switch
        {
            // What a walk without aim seldom does.
            0 when !run.Bench.Board.Armed => new(BenchActKind.ReadyToArm),
            < 6 => Hand(),
            _ => World(),
        };

    private BenchAct Hand()
    {
        var controls = setup.Transmitter.Listed;
        var (id, control) = controls[random.Next(controls.Count)];
        // The throttle and the arm control decide about most.
        if (random.Next(3) == 0)
            id =
                random.Next(2) == 0
                    ? setup.Transmitter.StickOf(StickAxis.Throttle)!
                    : setup.Board.Functions["arm"].Control;
        control = setup.Transmitter.Controls[id];
        var setting =
            control.NamedPositions.Count > 0 ? control.NamedPositions[random.Next(control.NamedPositions.Count)].Setting
            : random.Next(3) > 0 ? places[random.Next(places.Length)]
            : -100 + (200.0 * random.Next(2049) / 2048);
        return new(BenchActKind.Hand, id, setting);
    }

    private BenchAct World()
    {
        switch (random.Next(12))
        {
            case 0:
                return new(BenchActKind.Power);
            case 1 or 2:
                return new(BenchActKind.Link);
            case 3:
                return new(BenchActKind.Transmitter);
            case 4:
                return new(BenchActKind.Turn, "", random.Next(3));
            case 5:
                return new(BenchActKind.Cable, "", random.Next(3));
            case 6:
                return new(BenchActKind.Fix);
            case 7:
                return new(BenchActKind.Telemetry);
            case 8 when setup.Model.Sensors.Count > 0:
                var (id, sensor) = setup
                    .Model.Sensors.OrderBy(s => s.Key, StringComparer.Ordinal)
                    .ElementAt(random.Next(setup.Model.Sensors.Count));
                var (low, high) = (sensor.Lowest.Value, sensor.Highest.Value);
                return new(
                    BenchActKind.Sensor,
                    id,
                    random.Next(4) switch
                    {
                        0 => 0,
                        1 => low,
                        2 => high,
                        _ => low + ((high - low) * random.NextDouble()),
                    }
                );
            default:
                return new(
                    BenchActKind.Wait,
                    "",
                    random.Next(4) switch
                    {
                        0 => random.Next(12_000),
                        1 => random.Next(1500),
                        _ => random.Next(120),
                    }
                );
        }
    }
}
