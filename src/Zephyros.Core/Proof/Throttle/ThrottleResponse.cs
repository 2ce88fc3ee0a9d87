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
/// positions says it for every movement along that line, straight from its beginning to its end. Slow steps have arrived. Other sticks, dials and sensors that are
/// carried into the throttle, or decide something together with another, stand at the ends and at an example of each of their cells; the verdict says so.</remarks>
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
        int[] cells =
        [
            .. Enumerable
                .Range(0, ProofScope.GridSteps + 1)
                .Select(i => scope.Inputs[stick].CellOf(ProofScope.PlaceAt(i))),
        ];
        placesOf =
        [
            .. Enumerable
                .Range(0, scope.Inputs[stick].Cells.Count)
                .Select(c => Enumerable.Range(0, cells.Length).Where(i => cells[i] == c).ToArray()),
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
            "The throttle was looked at in every place of its stick\u2019s grid, in every combination of other inputs and memory that can hold; what moves slowly has arrived. Of each movement where it begins and where it ends was looked at.",
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
            breath();
            var course = new double[ProofScope.GridSteps + 1];
            var key = new StringBuilder();
            for (var cell = 0; cell < placesOf.Length; cell++)
            {
                var values = Values(memory, word, bit, cell, settings, out var tells);
                key.Append(reachable[cell] ? '+' : '-').Append(tells);
                for (var i = 0; i < placesOf[cell].Length; i++)
                    course[placesOf[cell][i]] = values[i];
            }

            if (!done.Add(key.ToString()))
                continue;
            Courses++;
            Look(course, reachable, (memory, word, bit, settings));
        }
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

    // What the board takes for the throttle at each place of a cell of the stick.
    private double[] Values(int memory, int word, int bit, int cell, double[] settings, out string tells)
    {
        var (at, place) = model.Grid.With(stick, cell, word, bit);
        int[] places = placesOf[cell];
        var values = new double[places.Length];
        // Where the stick decides something together with another input, conditions may change within its cell.
        if (model.Scope.Inputs[stick].Cells[cell].Open)
        {
            for (var i = 0; i < values.Length; i++)
            {
                Run(memory, at, place, settings, places[i]);
                values[i] = Throttle();
            }

            tells = $"{cell} {string.Join(' ', values)};";
            return values;
        }

        Run(memory, at, place, settings, places.FirstOrDefault());
        tells = $"{cell} {string.Join(' ', telling.Select(t => run.At(t).Value))};";
        if (known.TryGetValue(tells, out var same))
            return same;
        for (var i = 0; i < values.Length; i++)
        {
            run.Put(register, ValueRange.Exactly(ProofScope.PlaceAt(places[i])));
            run.RunChains();
            values[i] = Throttle();
        }

        return known[tells] = values;
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

    private double Throttle() => model.Scope.Receive(channel, run.Sent(index, withOverrides: true)).Value;

    private void Look(double[] course, bool[] reachable, (int Memory, int Word, int Bit, double[] Settings) line)
    {
        int[] cells = new int[course.Length];
        for (var cell = 0; cell < placesOf.Length; cell++)
            foreach (var place in placesOf[cell])
                cells[place] = cell;
        var top = -1;
        for (var i = 0; i < course.Length; i++)
        {
            if (Fall is null && top >= 0 && course[i] < course[top] - Slack)
                Fall = Place(top, i);
            if (!reachable[cells[i]])
                continue;
            if (top < 0 || course[i] >= course[top])
                top = i;
            // Either way: what remembers may let it leap while the stick goes down.
            for (var j = Math.Max(0, i - window); j < course.Length && j <= i + window; j++)
                if (course[j] - course[i] > (Growth?.Growth ?? 0) + Slack)
                    Growth = Place(i, j);
        }

        ResponsePlace Place(int from, int to) =>
            new(
                line.Memory,
                line.Word,
                line.Bit,
                cells[from],
                ProofScope.PlaceAt(from),
                ProofScope.PlaceAt(to),
                course[from],
                course[to]
            )
            {
                Settings = sampled.Select((input, i) => (input, line.Settings[i])).ToArray(),
            };
    }
}
