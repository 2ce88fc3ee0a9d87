using System.Numerics;
using System.Text;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running.Ranges;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Search;

namespace Zephyros.Core.Proof.Throttle;

/// <summary>What the board takes for the throttle at every place of the throttle stick's grid, in every combination of the other inputs
/// and the memory that can hold: where it falls while the stick rises, and where it grows most within a set movement.</summary>
/// <remarks>What follows from a movement depends on the memory before it and on where it ends, so one course for each memory and line of
/// positions says it for every movement along that line; where a place that is passed changes the memory, the course of that one goes on.
/// Slow steps have arrived. Other sticks, dials and sensors that are carried into the throttle, or decide something together with another,
/// stand at the ends and at an example of each of their cells; the verdict says so.</remarks>
internal sealed class ThrottleResponse
{
    // Rounding of binary fractions on the way.
    private const double Slack = 1e-6;

    private readonly ReducedModel model;
    private readonly Explorer explorer;
    private readonly int stick;
    private readonly int register;
    private readonly int index;
    private readonly int channel;
    private readonly int[] cellAt;
    private readonly int[][] placesOf;
    private readonly int[] sampled;
    private readonly int[] telling;
    private readonly RangeRun run;
    private readonly Action breath;
    private readonly Dictionary<string, double[]> known = [];
    private readonly int window;

    private ThrottleResponse(ReducedModel model, Explorer explorer, int stick, int index, Action breath)
    {
        (this.model, this.explorer, this.stick, this.index, this.breath) = (model, explorer, stick, index, breath);
        var scope = model.Scope;
        var plan = scope.Plan.Model;
        register = scope.Registers[stick];
        channel = plan.Channels[index].Channel.Number.Value - 1;
        run = new RangeRun(plan, scope.Relevant, scope.Parts) { Examples = true };
        cellAt =
        [
            .. Enumerable
                .Range(0, ProofScope.GridSteps + 1)
                .Select(i => scope.Inputs[stick].CellOf(ProofScope.PlaceAt(i))),
        ];
        placesOf =
        [
            .. Enumerable
                .Range(0, scope.Inputs[stick].Cells.Count)
                .Select(c => Enumerable.Range(0, cellAt.Length).Where(i => cellAt[i] == c).ToArray()),
        ];
        var carried = plan.Graph.CarriedTo(new ModelNode(NodeKind.Chain, plan.Channels[index].Id));
        sampled =
        [
            .. Enumerable
                .Range(0, scope.Inputs.Count)
                .Where(i =>
                    i != stick
                    && scope.Registers[i] >= 0
                    && scope.Inputs[i].Cells.Any(c => c.Stretches.Any(s => s.From < s.UpTo))
                    && (carried.Any(n => n.Id == scope.Inputs[i].Id) || scope.Inputs[i].Cells.Any(c => c.Open))
                ),
        ];
        telling =
        [
            .. plan
                .Conditions.Where(c => scope.Relevant.Contains(new ModelNode(NodeKind.Condition, c)))
                .Select(plan.Layout.ConditionRegister),
            plan.Layout.StateRegister,
            .. Enumerable
                .Range(0, scope.Inputs.Count)
                .Where(i => scope.Registers[i] >= 0 && i != stick && carried.Any(n => n.Id == scope.Inputs[i].Id))
                .Select(i => scope.Registers[i]),
        ];
        window = (int)Math.Floor(scope.Plan.Setup.Limits.JumpWithin.Value / 100 * ProofScope.GridSteps);
    }

    /// <summary>The first place where the throttle falls while its stick rises; null when it never does.</summary>
    public ResponsePlace? Fall { get; private set; }

    /// <summary>Where it grows most within the set movement; null where the stick moves nothing.</summary>
    public ResponsePlace? Growth { get; private set; }

    /// <summary>How many courses were looked at.</summary>
    public long Courses { get; private set; }

    /// <summary>What was looked at, and what was only sampled.</summary>
    public IReadOnlyList<string> Assumptions =>
        [
            "The throttle was looked at in every place of its stick\u2019s grid, in every combination of other inputs and memory that can hold; what moves slowly has arrived.",
            model.Scope.IsSlow
                ? "Of each movement of the throttle stick only where it begins and where it ends was looked at."
                : "A movement of the throttle stick goes one way and passes every place between.",
            .. sampled.Length > 0
                ? new[]
                {
                    $"Sampled there, at the ends and in the middle of each part of its travel: {string.Join(", ", sampled.Select(i => model.Scope.Inputs[i].Name))}.",
                }
                : [],
        ];

    /// <summary>The part of the model that was looked at.</summary>
    public ReducedModel Model => model;

    /// <summary>What explored it.</summary>
    public Explorer Explorer => explorer;

    /// <summary>The place of the throttle stick among the inputs.</summary>
    public int Stick => stick;

    /// <summary>Looks at all courses.</summary>
    /// <returns>The response; null when the throttle stick does not move what the board takes for the throttle.</returns>
    public static ThrottleResponse? Of(ReducedModel model, Explorer explorer, Action breath)
    {
        var plan = model.Scope.Plan;
        var number = plan.Setup.Board.Map.ChannelOf(StickAxis.Throttle);
        var place = plan.Model.Channels.ToList().FindIndex(c => c.Channel.Number == number);
        var id = plan.Setup.Transmitter.StickOf(StickAxis.Throttle);
        var input = model.Scope.Inputs.ToList().FindIndex(i => i.Kind == InputKind.Control && i.Id == id);
        if (place < 0 || input < 0 || number.Value > model.Scope.Carried)
            return null;
        var made = new ThrottleResponse(model, explorer, input, place, breath);
        made.Look();
        return made;
    }

    private void Look()
    {
        var done = new HashSet<string>(StringComparer.Ordinal);
        foreach (var (memory, positions) in explorer.PositionsWhileOn().OrderBy(p => p.Memory))
        foreach (var ((word, bit), reachable) in Lines(positions))
        foreach (var settings in Samples(word, bit))
        {
            var line = new Line(word, bit, settings);
            var course = CourseOf(line, memory);
            if (done.Add(string.Concat(reachable.Select(r => r ? '+' : '-')) + course.Tells))
            {
                Courses++;
                Look(line, course, reachable);
                // Of what moves slowly it is not known how far it comes meanwhile.
                if (!model.Scope.IsSlow)
                {
                    Sweep(line, course, reachable, 1);
                    Sweep(line, course, reachable, -1);
                }
            }

            line.Known.Clear();
        }
    }

    private Course CourseOf(Line line, int memory)
    {
        if (line.Known.TryGetValue(memory, out var course))
            return course;
        breath();
        course = new Course(memory, new double[ProofScope.GridSteps + 1], new int[ProofScope.GridSteps + 1]);
        var tells = new StringBuilder();
        for (var cell = 0; cell < placesOf.Length; cell++)
            tells.Append(Values(course, line, cell));
        for (var (place, was) = (0, memory); place < course.Next.Length; was = course.Next[place++])
            if (course.Next[place] != was)
                tells.Append(place).Append('>').Append(course.Next[place] == memory ? -1 : course.Next[place]);
        return line.Known[memory] = course with { Tells = tells.ToString() };
    }

    // The positions that differ by the stick alone, and in which cells it can be.
    private IEnumerable<KeyValuePair<(int Word, int Bit), bool[]>> Lines(PositionSet positions)
    {
        var lines = new Dictionary<(int Word, int Bit), bool[]>();
        foreach (var (word, held) in positions.Words())
            for (var bits = held; bits != 0; bits &= bits - 1)
            {
                var bit = BitOperations.TrailingZeroCount(bits);
                var cell = model.Grid.Cell(stick, word, bit);
                var line = model.Grid.With(stick, 0, word, bit);
                if (!lines.TryGetValue(line, out var reachable))
                    lines.Add(line, reachable = new bool[placesOf.Length]);
                reachable[cell] = true;
            }

        return lines;
    }

    // Values for the inputs that are sampled: the ends and the example of the stretch that each stands in.
    private IEnumerable<double[]> Samples(int word, int bit)
    {
        var choices = sampled
            .Select(i =>
            {
                var cell = model.Scope.Inputs[i].Cells[model.Grid.Cell(i, word, bit)];
                return cell
                    .Stretches.SelectMany(s => new[] { s.From, s.UpTo })
                    .Append(cell.Example)
                    .Distinct()
                    .ToArray();
            })
            .ToArray();
        return choices.Aggregate(
            (IEnumerable<double[]>)
                [
                    [],
                ],
            (made, next) => made.SelectMany(m => next.Select(n => (double[])[.. m, n]))
        );
    }

    // What the board takes for the throttle at each place of a cell of the stick, and the memory after it. Tells by what they come about.
    private string Values(Course course, Line line, int cell)
    {
        var (word, bit) = model.Grid.With(stick, cell, line.Word, line.Bit);
        int[] places = placesOf[cell];
        // Where the stick decides something together with another input, conditions may change within its cell.
        if (model.Scope.Inputs[stick].Cells[cell].Open)
        {
            foreach (var place in places)
            {
                Run(course.Memory, word, bit, line.Settings, place);
                course.Throttle[place] = Throttle();
                course.Next[place] = Next(course.Memory);
            }

            return $"{cell} {string.Join(' ', places.Select(p => course.Throttle[p]))};";
        }

        Run(course.Memory, word, bit, line.Settings, places.FirstOrDefault());
        var next = Next(course.Memory);
        var tells = $"{cell} {string.Join(' ', telling.Select(t => run.At(t).Value))};";
        if (!known.TryGetValue(tells, out var values))
        {
            known[tells] = values = new double[places.Length];
            for (var i = 0; i < values.Length; i++)
            {
                run.Put(register, ValueRange.Exactly(ProofScope.PlaceAt(places[i])));
                run.RunChains();
                values[i] = Throttle();
            }
        }

        for (var i = 0; i < values.Length; i++)
            (course.Throttle[places[i]], course.Next[places[i]]) = (values[i], next);
        return tells;
    }

    private void Run(int memory, int word, int bit, double[] settings, int place)
    {
        model.Put(run, word, bit, memory);
        for (var i = 0; i < sampled.Length; i++)
            run.Put(model.Scope.Registers[sampled[i]], ValueRange.Exactly(settings[i]));
        run.Put(register, ValueRange.Exactly(ProofScope.PlaceAt(place)));
        run.Elapsing = 0;
        run.Run(new Choices());
    }

    // How comparisons came out that ranges leave open does not matter to examples.
    private int Next(int memory) =>
        model.Memory.After(
            memory,
            run,
            [.. Enumerable.Range(0, model.Open.Count).Select(i => model.Memory.Open(memory, i))]
        );

    private double Throttle() => model.Scope.Receive(channel, run.Sent(index, withOverrides: true)).Value;

    private void Look(Line line, Course course, bool[] reachable)
    {
        var throttle = course.Throttle;
        var top = -1;
        for (var i = 0; i < throttle.Length; i++)
        {
            if (Fall is null && top >= 0 && throttle[i] < throttle[top] - Slack)
                Fall = Place(line, course, top, i, throttle[i]);
            if (!reachable[cellAt[i]])
                continue;
            if (top < 0 || throttle[i] >= throttle[top])
                top = i;
            // Either way: what remembers may let it leap while the stick goes down.
            for (var j = Math.Max(0, i - window); j < throttle.Length && j <= i + window; j++)
                Grow(line, course, i, j, throttle[j]);
        }
    }

    // A thumb passes every place on its way: what remembers may have changed before it arrives.
    private void Sweep(Line line, Course course, bool[] reachable, int way)
    {
        bool Inside(int place) => place >= 0 && place < course.Throttle.Length;
        bool Stays(int place) => Inside(place) && reachable[cellAt[place]] && course.Next[place] == course.Memory;
        for (var exit = 0; Inside(exit); exit++)
        {
            if (course.Next[exit] == course.Memory || !Stays(exit - way))
                continue;
            breath();
            var (now, passed) = (course, new List<int>());
            for (var j = exit; Inside(j) && Math.Abs(j - exit) < window; j += way)
            {
                if (passed.Count > 0)
                    for (var i = exit - way; Stays(i) && Math.Abs(j - i) <= window; i -= way)
                        Grow(line, course, i, j, now.Throttle[j], passed);
                if (now.Next[j] == now.Memory)
                    continue;
                passed.Add(j);
                now = CourseOf(line, now.Next[j]);
            }
        }
    }

    private void Grow(Line line, Course course, int from, int to, double after, IReadOnlyList<int>? passed = null)
    {
        if (after - course.Throttle[from] > (Growth?.Growth ?? 0) + Slack)
            Growth = Place(line, course, from, to, after) with
            {
                Passed = [.. (passed ?? []).Select(ProofScope.PlaceAt)],
            };
    }

    private ResponsePlace Place(Line line, Course course, int from, int to, double after) =>
        new(
            course.Memory,
            line.Word,
            line.Bit,
            cellAt[from],
            ProofScope.PlaceAt(from),
            ProofScope.PlaceAt(to),
            course.Throttle[from],
            after
        )
        {
            Settings = sampled.Select((input, i) => (input, line.Settings[i])).ToArray(),
        };

    // The positions of everything but the stick, and the courses along it that are known.
    private sealed record Line(int Word, int Bit, double[] Settings)
    {
        public Dictionary<int, Course> Known { get; } = [];
    }

    // What comes of a movement to each place of the stick, by the memory before it: the throttle, and the memory then.
    private sealed record Course(int Memory, double[] Throttle, int[] Next)
    {
        public string Tells { get; init; } = "";
    }
}
