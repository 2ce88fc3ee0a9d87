using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Setups.Validation;

/// <summary>Checks what the schema cannot say: that references lead somewhere and that numbers are unique. A valid setup can be
/// compiled; whether it is a good one is for the findings to say.</summary>
public static class SetupValidator
{
    private const int MostControls = 64;

    private const int MostItems = 100;

    // What the board reads from a frame is kept in the bits of one word; the proof takes the last eight for announcements.
    private const int MostFunctions = 56 - BoardView.FirstFunction;

    /// <summary>Everything that makes <paramref name="setup"/> invalid, in the order of the path; empty when it is valid.</summary>
    public static IReadOnlyList<SetupProblem> Check(Setup setup)
    {
        var problems = new List<SetupProblem>();
        AnnotationCheck.Walk(setup, "", problems);
        if (problems.Count > 0)
            return problems;
        CheckControls(setup.Transmitter, problems);
        ModelValidator.Check(setup, problems);
        CheckLink(setup, problems);
        if (setup.Air.UrgentBelow >= setup.Air.WarnBelow)
            problems.Add(
                new(
                    "/air/urgentBelow",
                    $"The urgent warning must come below the first ({setup.Air.WarnBelow}), not at {setup.Air.UrgentBelow}."
                )
            );
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
            CheckReadings(id, selector, problems);
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

    private static void CheckReadings(string id, SwitchControl selector, List<SetupProblem> problems)
    {
        var readings = selector.Readings;
        if (readings.Length == 0)
            return;
        var place = $"/transmitter/controls/{id}/readings";
        if (readings.Length != selector.Positions)
            problems.Add(
                new(place, $"The switch has {selector.Positions} positions, so {readings.Length} readings do not fit.")
            );
        else if (readings.Distinct().Count() != readings.Length)
            problems.Add(new(place, "Two positions have the same reading; they could not be told apart."));
    }

    private static void CheckLink(Setup setup, List<SetupProblem> problems)
    {
        var most = setup.Air.Channels;
        CheckNumbers("/air/presets", $"The link has channels 1 to {most}", most, setup.Air.Presets.Keys, problems);
        CheckNumbers(
            "/air/channelSteps",
            $"The link has channels 1 to {most}",
            most,
            setup.Air.ChannelSteps.Keys,
            problems
        );
        if (setup.Air.Receiver.QualityOn > setup.Air.Channels)
            problems.Add(
                new(
                    "/air/receiver/qualityOn",
                    $"The link has channels 1 to {setup.Air.Channels}, not {setup.Air.Receiver.QualityOn}."
                )
            );
    }

    private static void CheckNumbers(
        string place,
        string which,
        int most,
        IEnumerable<ChannelNumber> numbers,
        List<SetupProblem> problems
    )
    {
        foreach (var number in numbers)
            if (number.Value < 1 || number.Value > most)
                problems.Add(new($"{place}/{number.Value}", $"{which}, not {number.Value}."));
    }

    private static void CheckBoard(Setup setup, List<SetupProblem> problems)
    {
        if (!setup.Board.Ports.ContainsKey(setup.Board.ReceiverPort))
            problems.Add(new("/board/receiverPort", $"The board has no port \"{setup.Board.ReceiverPort}\"."));
        CheckNumbers(
            "/board/wander",
            $"A board reads channels 1 to {ChannelNumber.Highest}",
            ChannelNumber.Highest,
            setup.Board.Wander.Keys,
            problems
        );
        foreach (var (id, function) in setup.Board.Functions)
        {
            if (function.Low >= function.High)
                problems.Add(
                    new(
                        $"/board/functions/{id}/high",
                        $"The band must end above its start ({function.Low}), not at {function.High}."
                    )
                );
            if (function.Control.Length == 0 && function.Kind == FunctionKind.Arm)
                problems.Add(new($"/board/functions/{id}/control", "A control must be named that arms."));
            else if (function.Control.Length > 0 && !setup.Transmitter.Controls.ContainsKey(function.Control))
                problems.Add(new($"/board/functions/{id}/control", NoSuchControl(setup, function.Control)));
            else
                CheckPlanned(setup, id, function, problems);
        }

        if (setup.Goggles?.Items.Count is > MostItems and var items)
            problems.Add(new("/goggles/items", $"At most {MostItems} items, not {items}."));
        if (setup.Board.Functions.Values.Count(f => f.Kind == FunctionKind.Arm) > 1)
            problems.Add(new("/board/functions", "Only one function may arm."));
        if (setup.Board.Functions.Count > MostFunctions)
            problems.Add(
                new("/board/functions", $"At most {MostFunctions} functions, not {setup.Board.Functions.Count}.")
            );
    }

    private static void CheckPlanned(Setup setup, string id, BoardFunction function, List<SetupProblem> problems)
    {
        var positions = function.Control.Length > 0 ? setup.Transmitter.Controls[function.Control].NamedPositions : [];
        foreach (var (index, planned) in function.Planned.Index())
        {
            var place = $"/board/functions/{id}/planned/{index}";
            if (positions.All(p => p.Setting != planned))
                problems.Add(new(place, $"The control of \"{function.Label}\" has no position {planned}."));
            else if (function.Planned.IndexOf(planned) < index)
                problems.Add(new(place, $"Position {planned} is planned twice."));
        }
    }

    private static string NoSuchControl(Setup setup, string id) => $"{setup.Transmitter.Name} has no control \"{id}\".";
}
