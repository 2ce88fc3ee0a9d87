using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>Calls the craft home once it is too far away, and says so.</summary>
/// <remarks>It lets go only well inside the distance: a craft that flies along its edge would be called and let go in turn.</remarks>
public sealed class ReturnByDistance : IReadyMade
{
    [Figure(
        Station.Return,
        "A craft must be too far away for so long before it is called home",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly Milliseconds UsualWait = new(2000);

    [Figure(
        Station.Return,
        "A craft that was called home is let go within so much of the distance",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly Percent UsualRelease = new(75);

    [Figure(Station.Return, "That the craft comes home is said again every", ProvenanceKind.OwnAssumption)]
    private static readonly Milliseconds UsualRepeat = new(10_000);

    // Room between a forced value and the edges of its band that rounding on the way cannot use up.
    private static readonly Microseconds Room = new(5);

    private const string SensorLabel = "Distance";

    private const double HighestReading = 10_000;

    /// <inheritdoc />
    public string Id => "return-by-distance";

    /// <inheritdoc />
    public string Title => "Return by distance";

    /// <inheritdoc />
    public string Purpose =>
        "Once the craft is too far away, the channel of its return home is forced, and that is said. It is let go when the craft has come "
        + "nearer, or by the position that takes it back. The distance counts from where home was set.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        Option[] functions =
        [
            .. Callable(setup)
                .OrderBy(f => f.Value.Kind != FunctionKind.ReturnHome)
                .ThenBy(f => f.Key, StringComparer.Ordinal)
                .Select(f => new Option(f.Key, $"{f.Value.Label}: channel {f.Value.Channel.Value}")),
        ];
        var sensors = SensorOptions.OrNew(setup, SensorLabel, s => s.Measures == SensorSubject.Distance);
        return
        [
            new("function", "Calls", ParameterKind.Choice, SensorOptions.First(functions)) { Options = functions },
            new("sensor", "Distance", ParameterKind.Choice, SensorOptions.First(sensors)) { Options = sensors },
            new("beyond", "Beyond", ParameterKind.Number, Figures.Plain(Farthest(setup).Value))
            {
                Unit = "m",
                Minimum = 10,
                Maximum = HighestReading,
            },
            new("wait", "For at least", ParameterKind.Number, Figures.Plain(UsualWait.Value / 1000))
            {
                Unit = "s",
                Minimum = 0,
                Maximum = 60,
            },
            new("release", "Lets go within so much of it", ParameterKind.Number, Figures.Plain(UsualRelease.Value))
            {
                Unit = "%",
                Minimum = 10,
                Maximum = 100,
            },
            new("back", "Taken back while", ParameterKind.Positions, "")
            {
                Options = Workshop.Controls(setup, c => c.NamedPositions.Count > 1),
                Optional = true,
            },
            new("every", "Said again every", ParameterKind.Number, Figures.Plain(UsualRepeat.Value / 1000))
            {
                Unit = "s",
                Minimum = 1,
                Maximum = 120,
            },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var (sensor, back) = (wanted.Option("sensor"), wanted.Positions("back"));
        var (beyond, wait) = (wanted.Number("beyond"), wanted.Number("wait"));
        var (release, every) = (wanted.Number("release"), wanted.Number("every"));
        if (Function(setup, wanted) is not { } function || wanted.Problems.Count > 0)
            return null;
        if (Forced(setup, function) is not { } value)
        {
            wanted.Refuse(
                "function",
                $"No value from −100 to +100 % calls {function.Label} and leaves the craft armed."
            );
            return null;
        }

        var work = new Workshop(setup);
        if (sensor == SensorOptions.New)
            sensor = work.Sensor(SensorLabel, SensorSubject.Distance, HighestReading, rests: 0);
        var known = work.Setup.Model.Sensors[sensor];
        var (limit, near) = (Reads(beyond), Reads(beyond * release / 100));
        Test far = new SensorTest
        {
            Sensor = sensor,
            Relation = Relation.Above,
            Limit = limit,
        };
        Test called = new LatchTest
        {
            Set = [wait > 0 ? new DelayTest { Of = [far], OnAfter = new(wait * 1000) } : far],
            Clear =
            [
                new SensorTest
                {
                    Sensor = sensor,
                    Relation = Relation.Below,
                    Limit = near,
                },
            ],
        };
        if (back is not null)
            called = new AllTest { Of = [called, new NotTest { Of = [back.Test] }] };
        var condition = work.Condition("Too far", called);
        work.Force("Called home", ChannelOf(setup, function)!, condition, value);
        work.Announce("Too far, coming home", condition, new Milliseconds(every * 1000), null);
        var (bound, words) = CallHome.Bound(setup);
        return new Built(
            work.Setup,
            [
                $"Called beyond {known.LimitWords(limit)}, let go below {known.LimitWords(near)}; {words}"
                    + (beyond > bound.Value ? ". That is too late." : "."),
                $"{function.Label} is called with {value}: {setup.Transmitter.Scale.ToMicroseconds(value)} on channel {function.Channel.Value}.",
                back is null
                    ? "Nothing takes it back while the craft is that far: were home set in the wrong place, it would fly there."
                    : "The position that takes it back wins over the distance.",
                SensorOptions.Age(work.Setup, sensor),
            ]
        );

        Reading Reads(double metres) =>
            new(known.Kept(new Reading(metres * SensorSubject.Distance.UnitsPer(known.Unit))).Value);
    }

    private static BoardFunction? Function(Setup setup, Arguments wanted)
    {
        if (Callable(setup).Any())
            return setup.Board.Functions.GetValueOrDefault(wanted.Option("function"));
        wanted.Refuse(
            "function",
            "No channel works a function with which the board flies home, so there is nothing to call."
        );
        return null;
    }

    private static IEnumerable<KeyValuePair<string, BoardFunction>> Callable(Setup setup) =>
        setup.Board.Functions.Where(f => FliesHome(setup, f.Value) && ChannelOf(setup, f.Value) is not null);

    // On purpose the board does what it does on a loss, which need not be to fly home.
    private static bool FliesHome(Setup setup, BoardFunction function) =>
        function.Kind == FunctionKind.ReturnHome
        || (function.Kind == FunctionKind.LossProcedure && setup.Board.Loss.Procedure == LossProcedure.ReturnHome);

    private static string? ChannelOf(Setup setup, BoardFunction function) =>
        setup.Model.Channels.Where(c => c.Value.Number == function.Channel).Select(c => c.Key).FirstOrDefault();

    /// <summary>The farthest distance that nothing stands against, as it is asked for.</summary>
    private static Metres Farthest(Setup setup) =>
        new(Math.Clamp(CallHome.Within(CallHome.Bound(setup).At).Value, 10, HighestReading));

    // In the band with the most room, with as few others as can be, and never where the craft would be disarmed.
    private static Percent? Forced(Setup setup, BoardFunction function)
    {
        var sharing = setup.Board.Functions.Values.Where(f => f != function && f.Channel == function.Channel).ToArray();
        return Enumerable
            .Range(-100, 201)
            .Select(p => new Percent(p))
            .Select(p => (Value: p, Arrives: setup.Transmitter.Scale.ToMicroseconds(p)))
            .Where(p => function.Contains(p.Arrives - Room) && function.Contains(p.Arrives + Room))
            .Where(p => sharing.All(f => f.Kind != FunctionKind.Arm || f.Contains(p.Arrives)))
            .OrderBy(p => sharing.Count(f => f.Kind != FunctionKind.Arm && f.Contains(p.Arrives)))
            .ThenByDescending(p => Math.Min((p.Arrives - function.Low).Value, (function.High - p.Arrives).Value))
            .Select(p => (Percent?)p.Value)
            .FirstOrDefault();
    }
}
