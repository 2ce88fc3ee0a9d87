using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;

namespace Zephyros.Core.Edits;

/// <summary>Fills the chains of channels from a table flight state x channel, for boards that read several channels together.</summary>
/// <remarks>The table says what leaves the transmitter. A value beyond the ends widens them, and what the chain must give is worked
/// back through the output stage, so that every cell is met exactly.</remarks>
public static class StateTableEdit
{
    private const string StepId = "state";

    /// <summary>Builds the edit.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="table">By channel id: by state id: the wanted value. A state that is missing lets the chain's own value pass; a
    /// channel without states loses its table.</param>
    /// <returns>The edit, or what is wrong with the table.</returns>
    public static (SetupEdit? Edit, IReadOnlyList<SetupProblem> Problems) Build(
        Setup setup,
        IReadOnlyDictionary<string, IReadOnlyDictionary<string, Percent>> table
    )
    {
        var problems = Check(setup, table);
        if (problems.Count > 0)
            return (null, problems);
        var channels = setup.Model.Channels;
        foreach (var (id, cells) in table)
            channels = channels.SetItem(id, Fill(channels[id], cells));
        var after = setup with { Model = setup.Model with { Channels = channels } };
        return (SetupEdit.Between("Table of flight states", setup, after), []);
    }

    /// <summary>The wanted values of a channel as they stand in its chain now; null when it has no table.</summary>
    public static IReadOnlyDictionary<string, Percent>? Cells(Channel channel) =>
        channel.Steps.Values.OfType<StateStep>().MaxBy(s => s.Order) is { } step
            ? step.Values.ToDictionary(v => v.Key, v => Leaving(channel.Output, v.Value), StringComparer.Ordinal)
            : null;

    private static List<SetupProblem> Check(
        Setup setup,
        IReadOnlyDictionary<string, IReadOnlyDictionary<string, Percent>> table
    )
    {
        var problems = new List<SetupProblem>();
        var limit = setup.Transmitter.TravelLimit.Value;
        foreach (var (id, cells) in table)
        {
            if (!setup.Model.Channels.ContainsKey(id))
                problems.Add(new($"/{id}", $"The model has no channel \"{id}\"."));
            foreach (var (state, value) in cells)
            {
                if (!setup.Model.States.ContainsKey(state))
                    problems.Add(new($"/{id}/{state}", $"The model has no flight state \"{state}\"."));
                if (!(Math.Abs(value.Value) <= limit))
                    problems.Add(
                        new($"/{id}/{state}", $"{setup.Transmitter.Name} sends up to {limit} %, not {value}.")
                    );
            }
        }

        return problems;
    }

    private static Channel Fill(Channel channel, IReadOnlyDictionary<string, Percent> cells)
    {
        var present = channel
            .Steps.Where(s => s.Value is StateStep)
            .OrderBy(s => s.Value.Order)
            .Select(s => (KeyValuePair<string, ChainStep>?)s)
            .LastOrDefault();
        if (cells.Count == 0)
            return present is { Key: var unused } ? channel with { Steps = channel.Steps.Remove(unused) } : channel;
        var output = channel.Output with
        {
            Low = cells.Values.Aggregate(channel.Output.Low, (low, v) => low.AtMost(v)),
            High = cells.Values.Aggregate(channel.Output.High, (high, v) => high.AtLeast(v)),
        };
        var values = cells.ToDictionary(c => c.Key, c => Entering(output, c.Value), StringComparer.Ordinal);
        var order = channel.Steps.Count == 0 ? 0 : channel.Steps.Values.Max(s => s.Order);
        var step = new StateStep
        {
            Order = present?.Value.Order ?? order + 10,
            Values = System.Collections.Immutable.ImmutableDictionary.CreateRange(StringComparer.Ordinal, values),
        };
        return channel with
        {
            Output = output,
            Steps = channel.Steps.SetItem(present?.Key ?? FreeId.Of(StepId, channel.Steps.ContainsKey), step),
        };
    }

    // What leaves the stage for a value, and what must enter it for a wanted one. The ends were widened, so nothing is held.
    private static Percent Leaving(OutputStage stage, Percent value)
    {
        var turned = stage.Reverse ? -value.Value : value.Value;
        var span = turned < 0 ? (stage.Centre - stage.Low).Value : (stage.High - stage.Centre).Value;
        return new(
            Math.Round(Math.Clamp(stage.Centre.Value + (turned * span / 100), stage.Low.Value, stage.High.Value), 9)
        );
    }

    private static Percent Entering(OutputStage stage, Percent wanted)
    {
        var from = (wanted - stage.Centre).Value;
        var span = from < 0 ? (stage.Centre - stage.Low).Value : (stage.High - stage.Centre).Value;
        var turned = from * 100 / span;
        return new(stage.Reverse ? -turned : turned);
    }
}
