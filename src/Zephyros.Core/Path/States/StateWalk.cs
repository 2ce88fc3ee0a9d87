using System.Globalization;
using System.Runtime.InteropServices;
using Zephyros.Core.Model.Running;

namespace Zephyros.Core.Path.States;

/// <summary>Looks for flight states that no combination gives when it is put together from switch-on: a button that switches a latch,
/// something put there and back again. From switch-on it goes on with one move after another, the shortest ways first.</summary>
internal sealed class StateWalk
{
    /// <summary>How many moves are tried: a table is made after every edit.</summary>
    public const int MostMoves = 20_000;

    private readonly SignalPlan plan;
    private readonly IReadOnlyList<StateDecider> deciders;
    private readonly SignalValues values;
    private readonly HashSet<string> missing;
    private readonly Dictionary<string, string> ways = new(StringComparer.Ordinal);
    private readonly HashSet<string> seen = new(StringComparer.Ordinal);
    private readonly Queue<Place> open = new();

    private StateWalk(SignalPlan plan, IEnumerable<string> missing)
    {
        (this.plan, this.missing) = (plan, missing.ToHashSet(StringComparer.Ordinal));
        deciders = StateChoices.Of(plan, fine: true);
        values = plan.CreateValues();
    }

    /// <summary>The ways to those of the missing states that are met, in words: "Left button pressed for 0.3 s".</summary>
    /// <param name="plan">The setup.</param>
    /// <param name="missing">The ids of the states that are looked for.</param>
    public static IReadOnlyDictionary<string, string> Ways(SignalPlan plan, IEnumerable<string> missing)
    {
        var walk = new StateWalk(plan, missing);
        walk.Go();
        return walk.ways;
    }

    private void Go()
    {
        foreach (var decider in deciders)
            decider.Choices[0].Put(values);
        Arrive(new Place(new int[deciders.Count], "", []));
        for (var moves = 0; missing.Count > 0 && open.TryDequeue(out var start); )
            foreach (var (decider, choice) in Moves(start))
            {
                if (++moves > MostMoves)
                    return;
                Leave(start);
                Move(start, decider, choice);
            }
    }

    private IEnumerable<(int Decider, int Choice)> Moves(Place start) =>
        from decider in Enumerable.Range(0, deciders.Count)
        from choice in Enumerable.Range(0, deciders[decider].Choices.Count)
        where choice != start.Choices[decider]
        select (decider, choice);

    private void Move(Place start, int decider, int choice)
    {
        var to = deciders[decider].Choices[choice];
        var choices = start.Choices.ToArray();
        choices[decider] = choice;
        var words = start.Words.Length > 0 ? $"{start.Words}, then {to.Words}" : to.Words;
        to.Put(values);
        Arrive(new Place(choices, words, []));
        foreach (var length in deciders[decider].Presses)
        {
            Leave(start);
            to.Put(values);
            Run(TimeSpan.Zero, words);
            var held = $"{words} for {(length / 1000).ToString("0.##", CultureInfo.InvariantCulture)} s";
            Run(TimeSpan.FromMilliseconds(length), held);
            deciders[decider].Choices[start.Choices[decider]].Put(values);
            Arrive(new Place(start.Choices, held, []));
        }
    }

    // What is active only while something is under way is met too.
    private void Arrive(Place place)
    {
        Run(TimeSpan.Zero, place.Words);
        Run(TimeSpan.MaxValue, place.Words);
        var memory = (double[])[.. values.Memory.Registers, .. values.Memory.Cells];
        var key = string.Join(',', place.Choices) + Convert.ToBase64String(MemoryMarshal.AsBytes<double>(memory));
        if (seen.Add(key))
            open.Enqueue(place with { Memory = memory });
    }

    private void Run(TimeSpan elapsed, string words)
    {
        var inputs = new ModelInputs(values.Hands, values.Readings, values.TelemetryLost);
        plan.Model.Evaluate(inputs, elapsed, values.Memory, values.Slots, values.Sent);
        if (plan.Model.ActiveState(values.Memory) is { } state && missing.Remove(state))
            ways[state] = words.Length > 0 ? words : "at switch-on, for a moment";
    }

    private void Leave(Place start)
    {
        for (var i = 0; i < deciders.Count; i++)
            deciders[i].Choices[start.Choices[i]].Put(values);
        start.Memory.AsSpan(0, values.Memory.Registers.Length).CopyTo(values.Memory.Registers);
        start.Memory.AsSpan(values.Memory.Registers.Length).CopyTo(values.Memory.Cells);
    }

    /// <summary>Where the walk has come to rest.</summary>
    /// <param name="Choices">Where each decider is.</param>
    /// <param name="Words">The moves that led there.</param>
    /// <param name="Memory">What the model remembers: registers, then cells.</param>
    private sealed record Place(int[] Choices, string Words, double[] Memory);
}
