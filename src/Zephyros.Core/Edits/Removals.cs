using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Goggles;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Edits;

/// <summary>Takes things out of a setup: what goes with each, what needs it, and what misses it afterwards. Every removal is made here.</summary>
public static class Removals
{
    /// <summary>What removing the thing at a place means; null when there is nothing there that can be removed.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="place">A channel, condition, override, announcement, flight state, sensor or timer of the model, a control of the transmitter or
    /// a function of the board, as a JSON Pointer into the setup.</param>
    public static Removal? Of(Setup setup, string place)
    {
        var (model, board) = (setup.Model, setup.Board);
        return place.Split('/') switch
        {
            ["", "model", "channels", var id] when model.Channels.ContainsKey(id) => Channel(setup, id),
            ["", "model", "conditions", var id] when model.Conditions.TryGetValue(id, out var condition) => Named(
                setup,
                $"Remove “{condition.Label}”",
                ReferenceKind.Condition,
                id,
                setup with
                {
                    Model = model with { Conditions = model.Conditions.Remove(id), Raised = model.Raised.Remove(id) },
                }
            ),
            ["", "model", "sensors", var id] when model.Sensors.TryGetValue(id, out var sensor) => Named(
                setup,
                $"Remove {sensor.Label}",
                ReferenceKind.Sensor,
                id,
                setup with
                {
                    Model = model with { Sensors = model.Sensors.Remove(id) },
                }
            ),
            ["", "model", "states", var id] when model.States.ContainsKey(id) => State(setup, id),
            ["", "model", "overrides", var id] when model.Overrides.TryGetValue(id, out var forced) => Alone(
                setup,
                $"Remove {forced.Label}",
                setup with
                {
                    Model = model with { Overrides = model.Overrides.Remove(id) },
                }
            ),
            ["", "model", "announcements", var id] when model.Announcements.TryGetValue(id, out var made) => Alone(
                setup,
                $"Say “{made.Says}” no more",
                setup with
                {
                    Model = model with { Announcements = model.Announcements.Remove(id) },
                }
            ),
            ["", "model", "timers", var id] when model.Timers.TryGetValue(id, out var timer) => Named(
                setup,
                $"Remove {timer.Label}",
                ReferenceKind.Timer,
                id,
                setup with
                {
                    Model = model with { Timers = model.Timers.Remove(id) },
                }
            ),
            ["", "goggles", "items", var id] when setup.Goggles?.Items.ContainsKey(id) == true => Alone(
                setup,
                $"{setup.Goggles.Items[id].Shows.Words()} out of the goggles",
                setup with
                {
                    Goggles = setup.Goggles with { Items = setup.Goggles.Items.Remove(id) },
                }
            ),
            ["", "transmitter", "controls", var id] when setup.Transmitter.Controls.ContainsKey(id) => Control(
                setup,
                id
            ),
            ["", "board", "functions", var id] when board.Functions.ContainsKey(id) => Function(setup, id),
            _ => null,
        };
    }

    /// <summary>A setup without a function of the board and what announces it.</summary>
    public static Setup WithoutFunction(Setup setup, string id) =>
        setup with
        {
            Board = setup.Board with { Functions = setup.Board.Functions.Remove(id) },
            Model = setup.Model with
            {
                Announcements = setup.Model.Announcements.RemoveRange(Announcing(setup, id).Select(a => a.Key)),
            },
        };

    // The overrides on a channel go with it.
    private static Setup WithoutChannel(Setup setup, string id) =>
        setup with
        {
            Model = setup.Model with
            {
                Channels = setup.Model.Channels.Remove(id),
                Overrides = setup.Model.Overrides.RemoveRange(setup.Model.OverridesOf(id).Select(o => o.Key)),
            },
        };

    private static Removal Channel(Setup setup, string id)
    {
        var channel = setup.Model.Channels[id];
        var number = channel.Number;
        var states = channel
            .Steps.Values.OfType<StateStep>()
            .SelectMany(s => s.Values.Keys)
            .Distinct(StringComparer.Ordinal)
            .Select(s => setup.Model.States[s].Label)
            .Order(StringComparer.Ordinal)
            .ToArray();
        string[] along =
        [
            .. setup.Model.OverridesOf(id).Select(o => $"the override {o.Value.Label}"),
            .. states.Length == 0
                ? Array.Empty<string>()
                : [$"what it sends in the flight states {string.Join(", ", states)}"],
        ];
        string[] leaves =
        [
            .. number.Aux is null
                ? [$"the board reads {setup.Board.Map.AxisOf(number).Word()} from {number}, and nothing feeds it then"]
                : setup
                    .Board.Functions.Values.Where(f => f.Channel == number)
                    .OrderBy(f => f.Label, StringComparer.Ordinal)
                    .Select(f =>
                        $"{f.Label} watches {number}, and nothing feeds it then{(f.Kind == FunctionKind.Arm ? ": the board never arms" : "")}"
                    ),
        ];
        return Made(
            setup,
            $"Remove channel {number.Value}",
            Users(setup, ReferenceKind.Channel, id, r => r.Owner.Kind != NodeKind.Sent),
            along,
            leaves,
            WithoutChannel(setup, id)
        );
    }

    // The values that chains give in the state go with it, and a step of which nothing is left.
    private static Removal State(Setup setup, string id)
    {
        var model = setup.Model;
        var channels = model.Channels.ToImmutableDictionary(
            c => c.Key,
            c => c.Value with { Steps = WithoutState(c.Value.Steps, id) },
            StringComparer.Ordinal
        );
        return Made(
            setup,
            $"Remove {model.States[id].Label}",
            Users(setup, ReferenceKind.State, id, r => r.Owner.Kind != NodeKind.Chain),
            [
                .. model
                    .Channels.Values.Where(c => c.Steps.Values.OfType<StateStep>().Any(s => s.Values.ContainsKey(id)))
                    .OrderBy(c => c.Number.Value)
                    .Select(c => $"what channel {c.Label} sends in it"),
            ],
            [],
            setup with
            {
                Model = model with { States = model.States.Remove(id), Channels = channels },
            }
        );
    }

    private static ImmutableDictionary<string, ChainStep> WithoutState(
        ImmutableDictionary<string, ChainStep> steps,
        string id
    ) =>
        steps
            .Where(s => s.Value is not StateStep { Values: { Count: 1 } values } || !values.ContainsKey(id))
            .ToImmutableDictionary(
                s => s.Key,
                s => s.Value is StateStep state ? state with { Values = state.Values.Remove(id) } : s.Value,
                StringComparer.Ordinal
            );

    private static Removal Control(Setup setup, string id)
    {
        var (transmitter, board, model) = (setup.Transmitter, setup.Board, setup.Model);
        var meant = board
            .Functions.Where(f => f.Value.Control == id)
            .OrderBy(f => f.Key, StringComparer.Ordinal)
            .ToArray();
        return Made(
            setup,
            $"Remove {transmitter.Controls[id].Name}",
            [
                .. Users(setup, ReferenceKind.Control, id, r => r.Owner.Kind != NodeKind.Control),
                // What arms is always worked by something.
                .. meant.Where(f => f.Value.Kind == FunctionKind.Arm).Select(f => $"{f.Value.Label} of the board"),
            ],
            model.Trims.ContainsKey(id) ? ["its trim"] : [],
            [.. meant.Select(f => $"{f.Value.Label} is meant for no control then")],
            setup with
            {
                Transmitter = transmitter with { Controls = transmitter.Controls.Remove(id) },
                Model = model with { Trims = model.Trims.Remove(id) },
                Board = board with
                {
                    Functions = board.Functions.SetItems(
                        meant.Select(f => KeyValuePair.Create(f.Key, f.Value with { Control = "", Planned = [] }))
                    ),
                },
            }
        );
    }

    private static Removal Function(Setup setup, string id)
    {
        var function = setup.Board.Functions[id];
        return Made(
            setup,
            $"Remove {function.Label}",
            [],
            [.. Announcing(setup, id).Select(a => $"the announcement “{a.Value.Says}”")],
            function.Kind == FunctionKind.Arm ? ["the board never arms then"] : [],
            WithoutFunction(setup, id)
        );
    }

    // A condition that asks for itself goes with its question.
    private static Removal Named(Setup setup, string title, ReferenceKind kind, string id, Setup after) =>
        Made(
            setup,
            title,
            Users(
                setup,
                kind,
                id,
                r => kind != ReferenceKind.Condition || r.Owner != new ModelNode(NodeKind.Condition, id)
            ),
            [],
            [],
            after
        );

    private static Removal Alone(Setup setup, string title, Setup after) => Made(setup, title, [], [], [], after);

    private static Removal Made(
        Setup setup,
        string title,
        IReadOnlyList<string> neededBy,
        IReadOnlyList<string> along,
        IReadOnlyList<string> leaves,
        Setup after
    ) => new(neededBy.Count == 0 ? SetupEdit.Between(title, setup, after) : null, neededBy, along, leaves);

    private static IEnumerable<KeyValuePair<string, Announcement>> Announcing(Setup setup, string function) =>
        setup.Model.Announcements.Where(a => a.Value.Function == function).OrderBy(a => a.Key, StringComparer.Ordinal);

    private static IReadOnlyList<string> Users(
        Setup setup,
        ReferenceKind kind,
        string id,
        Func<ModelReference, bool> counts
    ) =>
        [
            .. ModelReferences
                .Of(setup.Model)
                .Where(r => r.Kind == kind && r.Id == id && counts(r))
                .Select(r => ModelWords.Owner(setup.Model, r.Owner))
                .Distinct(StringComparer.Ordinal),
        ];
}
