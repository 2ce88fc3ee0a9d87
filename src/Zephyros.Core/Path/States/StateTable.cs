using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.States;

/// <summary>The table flight state x channel of a setup: what each state sends, how it is reached, what shadows what, and which states
/// a board cannot tell apart.</summary>
/// <param name="Rows">The rows, by priority.</param>
/// <param name="Combinations">Every combination that was tried, the simplest first, with the state that it gives.</param>
public sealed record StateTable(IReadOnlyList<StateRow> Rows, IReadOnlyList<StateCombination> Combinations)
{
    private const int MostTries = 20_000;

    /// <summary>The table of a setup. Every combination of the controls and telemetry readings that decide is tried on the running
    /// model, each from switch-on, up to a limit.</summary>
    public static StateTable Of(SignalPlan plan)
    {
        var model = plan.Setup.Model;
        var states = model.StatesByPriority();
        var columns = Columns(model);
        var tries = Try(plan);
        var cells = states.ToDictionary(s => s.Key, s => Cells(columns, s.Key), StringComparer.Ordinal);
        StateRow[] rows =
        [
            .. states.Select(s => new StateRow(
                s.Key,
                cells[s.Key],
                tries.Where(t => t.State == s.Key).Select(t => t.Words).FirstOrDefault(),
                tries.Any(t => t.State == s.Key) ? [] : Shadows(plan, s.Key, tries),
                columns.Count == 0 ? [] : SameRows(cells, s.Key)
            )),
        ];
        return new StateTable(rows, tries);
    }

    private static List<(string Id, IReadOnlyDictionary<string, Percent> Cells)> Columns(TransmitterModel model) =>
        [
            .. model
                .Channels.OrderBy(c => c.Value.Number.Value)
                .Select(c => (c.Key, Cells: StateTableEdit.Cells(c.Value)))
                .Where(c => c.Cells is not null)
                .Select(c => (c.Key, c.Cells!)),
        ];

    private static Dictionary<string, Percent?> Cells(
        List<(string Id, IReadOnlyDictionary<string, Percent> Cells)> columns,
        string state
    ) =>
        columns.ToDictionary(
            c => c.Id,
            c => c.Cells.TryGetValue(state, out var value) ? value : (Percent?)null,
            StringComparer.Ordinal
        );

    private static IReadOnlyList<string> SameRows(
        Dictionary<string, Dictionary<string, Percent?>> cells,
        string state
    ) =>
        [
            .. cells
                .Where(other =>
                    other.Key != state && other.Value.All(c => cells[state][c.Key] is { } own && own == c.Value)
                )
                .Select(other => other.Key)
                .Order(StringComparer.Ordinal),
        ];

    // The states that were active whenever this one's own condition held.
    private static IReadOnlyList<string> Shadows(SignalPlan plan, string state, IReadOnlyList<StateCombination> tries)
    {
        var own = plan.Setup.Model.States[state].When;
        return
        [
            .. tries
                .Where(t => t.State is not null && (own is null || t.Holding.Contains(own)))
                .Select(t => t.State!)
                .Distinct(StringComparer.Ordinal)
                .Order(StringComparer.Ordinal),
        ];
    }

    private static IReadOnlyList<StateCombination> Try(SignalPlan plan)
    {
        var deciding = Deciding(plan).ToArray();
        var total = deciding.Aggregate(1L, (n, d) => Math.Min(n * d.Count, MostTries));
        var tried = new List<StateCombination>();
        for (var number = 0L; number < total; number++)
        {
            var rest = number;
            var values = plan.CreateValues();
            plan.Settle(values);
            var words = new List<string>();
            foreach (var choices in deciding)
            {
                var choice = choices[(int)(rest % choices.Count)];
                rest /= choices.Count;
                choice.Put(values);
                words.Add(choice.Words);
            }

            plan.Settle(values);
            var holding = plan.Model.Conditions.Where(c => plan.Model.Holds(values.Memory, c));
            var state = plan.Model.ActiveState(values.Memory);
            tried.Add(new(string.Join(", ", words), state, holding.ToHashSet(StringComparer.Ordinal)));
        }

        return tried;
    }

    // The start position and the bench reading come first, so that the simplest way to a state is the one that is shown.
    private static IEnumerable<IReadOnlyList<Choice>> Deciding(SignalPlan plan)
    {
        var behind = plan.Model.Graph.Behind(ModelNode.ActiveState);
        var tests = plan.Setup.Model.Conditions.Values.SelectMany(c => Flat(c.Test)).ToArray();
        for (var i = 0; i < plan.Model.Controls.Count; i++)
        {
            var (index, (id, control)) = (i, plan.Model.Controls[i]);
            if (behind.Contains(new ModelNode(NodeKind.Control, id)))
                yield return
                [
                    .. Settings(tests, id, control)
                        .OrderBy(s => s.Setting != control.StartSetting)
                        .Select(s => new Choice(
                            $"{control.Name} {s.Name}",
                            v => v.Hands[index] = control.Read(s.Setting)!.Value
                        )),
                ];
        }

        for (var i = 0; i < plan.Model.Sensors.Count; i++)
        {
            var (index, (id, sensor)) = (i, plan.Model.Sensors[i]);
            if (behind.Contains(new ModelNode(NodeKind.Sensor, id)))
                yield return
                [
                    .. Readings(tests, id, sensor)
                        .Select(r => new Choice($"{sensor.Label} {sensor.Words(r)}", v => v.Readings[index] = r)),
                ];
        }
    }

    private static IEnumerable<Reading> Readings(IReadOnlyList<Test> tests, string id, Sensor sensor) =>
        tests
            .OfType<SensorTest>()
            .Where(t => t.Sensor == id)
            .SelectMany(t => new[] { t.Limit.Value - 0.1, t.Limit.Value + 0.1 })
            .Where(v => v >= sensor.Lowest.Value && v <= sensor.Highest.Value)
            .Prepend(sensor.Bench.Value)
            .Distinct()
            .Select(v => new Reading(v));

    // The positions of a switch; the ends of other controls, and both sides of every limit that a condition sets for them.
    private static List<(double Setting, string Name)> Settings(IReadOnlyList<Test> tests, string id, Control control)
    {
        if (control.NamedPositions.Count > 0)
            return [.. control.NamedPositions.Select(p => (p.Setting, p.Name))];
        var limits = tests
            .OfType<CompareTest>()
            .Where(t => t.Value is ControlSource source && source.Control == id)
            .SelectMany(t => new[] { t.Limit.Value - 0.5, t.Limit.Value + 0.5 });
        return
        [
            .. new[] { -100.0, 0, 100 }
                .Concat(limits)
                .Where(v => v is >= -100 and <= 100)
                .Distinct()
                .Order()
                .Select(v => (v, new Percent(v).ToString())),
        ];
    }

    private static IEnumerable<Test> Flat(Test test) => test.Parts.SelectMany(Flat).Prepend(test);

    private sealed record Choice(string Words, Action<SignalValues> Put);
}
