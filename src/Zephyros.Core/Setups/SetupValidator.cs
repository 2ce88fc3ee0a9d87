using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;

namespace Zephyros.Core.Setups;

/// <summary>Checks what the schema cannot say: that references lead somewhere and that numbers are unique. A valid setup can be
/// compiled; whether it is a good one is for the findings to say.</summary>
public static class SetupValidator
{
    private const int MostControls = 64;

    /// <summary>Everything that makes <paramref name="setup"/> invalid, in the order of the path; empty when it is valid.</summary>
    public static IReadOnlyList<SetupProblem> Check(Setup setup)
    {
        var problems = new List<SetupProblem>();
        AnnotationCheck.Walk(setup, "", problems);
        if (problems.Count > 0)
            return problems;
        CheckControls(setup.Transmitter, problems);
        CheckChannels(setup, problems);
        CheckBoard(setup, problems);
        return problems;
    }

    private static void CheckControls(Transmitter transmitter, List<SetupProblem> problems)
    {
        if (transmitter.Controls.Count > MostControls)
            problems.Add(
                new("/transmitter/controls", $"At most {MostControls} controls, not {transmitter.Controls.Count}.")
            );
        foreach (var axis in StickAxes.All)
        {
            var count = transmitter.Controls.Values.Count(c => c is StickControl stick && stick.Axis == axis);
            if (count != 1)
                problems.Add(new("/transmitter/controls", $"There must be one stick for {axis.Word()}, not {count}."));
        }

        foreach (var (id, control) in transmitter.Controls)
        {
            if (control is not SwitchControl selector)
                continue;
            if (selector.Start > selector.Positions)
                problems.Add(
                    new(
                        $"/transmitter/controls/{id}/start",
                        $"The switch has {selector.Positions} positions, not {selector.Start}."
                    )
                );
            if (selector.Safe != 1 && selector.Safe != selector.Positions)
                problems.Add(
                    new($"/transmitter/controls/{id}/safe", $"The safe position is an end: 1 or {selector.Positions}.")
                );
        }
    }

    private static void CheckChannels(Setup setup, List<SetupProblem> problems)
    {
        var numbers = new Dictionary<int, string>();
        foreach (var (id, channel) in setup.Model.Channels.OrderBy(c => c.Key, StringComparer.Ordinal))
        {
            var place = $"/model/channels/{id}";
            if (channel.Number.Value > setup.Transmitter.Channels)
                problems.Add(
                    new(
                        $"{place}/number",
                        $"{setup.Transmitter.Name} sends channels 1 to {setup.Transmitter.Channels}, not {channel.Number.Value}."
                    )
                );
            if (!numbers.TryAdd(channel.Number.Value, id))
                problems.Add(
                    new(
                        $"{place}/number",
                        $"Channel {channel.Number.Value} is already \"{numbers[channel.Number.Value]}\"."
                    )
                );
            if (
                channel.Take is ControlSource { Control: var control }
                && !setup.Transmitter.Controls.ContainsKey(control)
            )
                problems.Add(new($"{place}/take/control", NoSuchControl(setup, control)));
            CheckOutput(channel.Output, $"{place}/output", setup.Transmitter, problems);
        }
    }

    private static void CheckOutput(
        OutputStage output,
        string place,
        Transmitter transmitter,
        List<SetupProblem> problems
    )
    {
        if (output.Low.Value >= output.High.Value)
            problems.Add(
                new($"{place}/low", $"The low end ({output.Low}) must lie below the high end ({output.High}).")
            );
        else if (output.Centre.Value <= output.Low.Value || output.Centre.Value >= output.High.Value)
            problems.Add(
                new(
                    $"{place}/centre",
                    $"The centre ({output.Centre}) must lie between the ends ({output.Low} and {output.High})."
                )
            );
        var limit = transmitter.TravelLimit.Value;
        if (output.Low.Value < -limit)
            problems.Add(new($"{place}/low", $"{transmitter.Name} accepts ends up to {limit} %, not {output.Low}."));
        if (output.High.Value > limit)
            problems.Add(new($"{place}/high", $"{transmitter.Name} accepts ends up to {limit} %, not {output.High}."));
    }

    private static void CheckBoard(Setup setup, List<SetupProblem> problems)
    {
        if (!setup.Board.Ports.ContainsKey(setup.Board.ReceiverPort))
            problems.Add(new("/board/receiverPort", $"The board has no port \"{setup.Board.ReceiverPort}\"."));
        foreach (var (id, function) in setup.Board.Functions)
        {
            if (function.Low.Value >= function.High.Value)
                problems.Add(
                    new(
                        $"/board/functions/{id}/high",
                        $"The band must end above its start ({function.Low}), not at {function.High}."
                    )
                );
            if (!setup.Transmitter.Controls.ContainsKey(function.Control))
                problems.Add(new($"/board/functions/{id}/control", NoSuchControl(setup, function.Control)));
        }

        if (setup.Board.Functions.Values.Count(f => f.Kind == FunctionKind.Arm) > 1)
            problems.Add(new("/board/functions", "Only one function may arm."));
    }

    private static string NoSuchControl(Setup setup, string id) => $"{setup.Transmitter.Name} has no control \"{id}\".";
}
