using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.States;

/// <summary>The table flight state x channel of a setup: what each state sends, how it is reached, what shadows what, and which states
/// a board cannot tell apart.</summary>
/// <param name="Rows">The rows, by priority.</param>
/// <param name="Combinations">Every combination that was tried, the simplest first, with the state that it gives.</param>
public sealed record StateTable(IReadOnlyList<StateRow> Rows, IReadOnlyList<StateCombination> Combinations)
{
    /// <summary>How many combinations are tried.</summary>
    public const int MostTries = 20_000;

    /// <summary>The table of a setup. Every combination of the controls and telemetry readings that decide is tried on the running
    /// model, up to <see cref="MostTries"/>: each from switch-on, one move after another in the order of its words, waiting until all has come to
    /// its end. States that none of them gives are looked for further; see <see cref="StateWalk"/>.</summary>
    public static StateTable Of(SignalPlan plan)
    {
        var model = plan.Setup.Model;
        var states = model.StatesByPriority();
        var columns = Columns(model);
        var tries = Try(plan);
        var reached = tries
            .Where(t => t.State is not null)
            .DistinctBy(t => t.State, StringComparer.Ordinal)
            .ToDictionary(t => t.State!, t => t.Words, StringComparer.Ordinal);
        var ways = StateWalk.Ways(plan, states.Select(s => s.Key).Where(s => !reached.ContainsKey(s)));
        var cells = states.ToDictionary(s => s.Key, s => Cells(columns, s.Key), StringComparer.Ordinal);
        StateRow[] rows =
        [
            .. states.Select(s => new StateRow(
                s.Key,
                cells[s.Key],
                reached.GetValueOrDefault(s.Key) ?? ways.GetValueOrDefault(s.Key),
                reached.ContainsKey(s.Key) || ways.ContainsKey(s.Key) ? [] : Shadows(plan, s.Key, tries),
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
        var deciders = StateChoices.Of(plan, fine: false);
        var total = deciders.Aggregate(1L, (n, d) => Math.Min(n * d.Choices.Count, MostTries));
        var tried = new List<StateCombination>();
        for (var number = 0L; number < total; number++)
        {
            var rest = number;
            var values = plan.CreateValues();
            foreach (var decider in deciders)
                decider.Choices[0].Put(values);
            plan.Settle(values);
            var words = new List<string>();
            foreach (var (choices, _) in deciders)
            {
                var choice = choices[(int)(rest % choices.Count)];
                rest /= choices.Count;
                // One after another, as hands move them, and at once as well as later: what a latch remembers on the way may decide.
                choice.Put(values);
                plan.Evaluate(values, TimeSpan.Zero);
                plan.Settle(values);
                words.Add(choice.Words);
            }

            var holding = plan.Model.Conditions.Where(c => plan.Model.Holds(values.Memory, c));
            var state = plan.Model.ActiveState(values.Memory);
            tried.Add(new(string.Join(", ", words), state, holding.ToHashSet(StringComparer.Ordinal)));
        }

        return tried;
    }
}
