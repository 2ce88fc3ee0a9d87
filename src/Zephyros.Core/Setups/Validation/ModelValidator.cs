using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Units;

namespace Zephyros.Core.Setups.Validation;

/// <summary>Checks that a model can be compiled: references lead somewhere, numbers are unique, curves run from left to right,
/// nothing is beyond all measure. Whether the model is a good one is for the findings to say.</summary>
internal static class ModelValidator
{
    private const int MostSteps = 64;
    private const int MostItems = 100;
    private const int MostTests = 100;
    private const int MostCalls = 20;
    private static readonly Milliseconds LongestCall = new(7_200_000);

    public static void Check(Setup setup, List<SetupProblem> problems)
    {
        var model = setup.Model;
        Count("conditions", model.Conditions.Count, problems);
        Count("overrides", model.Overrides.Count, problems);
        Count("announcements", model.Announcements.Count, problems);
        Count("states", model.States.Count, problems);
        Count("sensors", model.Sensors.Count, problems);
        Count("timers", model.Timers.Count, problems);
        CheckNumbers(setup, problems);
        foreach (var (id, channel) in model.Channels.OrderBy(c => c.Key, StringComparer.Ordinal))
            CheckChannel(setup, $"/model/channels/{id}", channel, problems);
        foreach (var (id, condition) in model.Conditions.OrderBy(c => c.Key, StringComparer.Ordinal))
            CheckCondition(setup, $"/model/conditions/{id}/test", condition.Test, problems);
        foreach (var (id, announcement) in model.Announcements.OrderBy(a => a.Key, StringComparer.Ordinal))
            CheckAnnouncement(setup, $"/model/announcements/{id}", announcement, problems);
        foreach (var (id, sensor) in model.Sensors)
        {
            if (sensor.Lowest >= sensor.Highest)
                problems.Add(
                    new(
                        $"/model/sensors/{id}/lowest",
                        $"The lowest reading ({sensor.Lowest}) must lie below the highest ({sensor.Highest})."
                    )
                );
            if (sensor.Gauge is { } gauge && gauge.From >= gauge.To)
                problems.Add(
                    new(
                        $"/model/sensors/{id}/gauge/from",
                        $"The gauge must begin ({gauge.From}) below where it ends ({gauge.To})."
                    )
                );
        }

        foreach (var (id, timer) in model.Timers.OrderBy(t => t.Key, StringComparer.Ordinal))
            CheckCalls($"/model/timers/{id}/calls", timer.Calls, problems);
        foreach (
            var id in model.Raised.Keys.Where(id => !model.Conditions.ContainsKey(id)).Order(StringComparer.Ordinal)
        )
            problems.Add(new($"/model/raised/{id}", $"The model has no condition \"{id}\"."));
        foreach (var reference in ModelReferences.Of(model))
            if (!Exists(setup, reference))
                problems.Add(new(reference.Place, Missing(setup, reference)));
    }

    private static void Count(string name, int count, List<SetupProblem> problems)
    {
        if (count > MostItems)
            problems.Add(new($"/model/{name}", $"At most {MostItems} {name}, not {count}."));
    }

    private static void CheckNumbers(Setup setup, List<SetupProblem> problems)
    {
        var numbers = new Dictionary<int, string>();
        foreach (var (id, channel) in setup.Model.Channels.OrderBy(c => c.Key, StringComparer.Ordinal))
        {
            var place = $"/model/channels/{id}/number";
            var number = channel.Number.Value;
            if (number > setup.Transmitter.Channels)
                problems.Add(
                    new(
                        place,
                        $"{setup.Transmitter.Name} sends channels 1 to {setup.Transmitter.Channels}, not {number}."
                    )
                );
            if (!numbers.TryAdd(number, id))
                problems.Add(new(place, $"Channel {number} is already \"{numbers[number]}\"."));
        }
    }

    private static void CheckChannel(Setup setup, string place, Channel channel, List<SetupProblem> problems)
    {
        if (channel.Steps.Count > MostSteps)
            problems.Add(new($"{place}/steps", $"A chain has at most {MostSteps} steps, not {channel.Steps.Count}."));
        foreach (var (id, step) in channel.Steps.OrderBy(s => s.Key, StringComparer.Ordinal))
        {
            if (step is CurveStep curve)
                CheckCurve(setup.Transmitter, $"{place}/steps/{id}/points", curve, problems);
            if (step is LimitStep limit && limit.Low > limit.High)
                problems.Add(
                    new(
                        $"{place}/steps/{id}/low",
                        $"The low limit ({limit.Low}) lies above the high one ({limit.High})."
                    )
                );
        }

        CheckOutput(channel.Output, $"{place}/output", problems);
    }

    private static void CheckCurve(Transmitter transmitter, string place, CurveStep curve, List<SetupProblem> problems)
    {
        var count = curve.Points.Length;
        if (count < CurveStep.FewestPoints || count > transmitter.CurvePoints)
            problems.Add(
                new(
                    place,
                    $"A curve of {transmitter.Name} has {CurveStep.FewestPoints} to {transmitter.CurvePoints} points, not {count}."
                )
            );
        for (var i = 1; i < count; i++)
        {
            var (left, right) = (curve.Points[i - 1].X, curve.Points[i].X);
            if (left == right)
                problems.Add(new($"{place}/{i}/x", $"Two points stand at {right}; each x may occur once."));
            else if (left > right)
                problems.Add(
                    new($"{place}/{i}/x", $"The points must run from left to right: {right} comes after {left}.")
                );
        }
    }

    private static void CheckOutput(OutputStage output, string place, List<SetupProblem> problems)
    {
        if (output.Low >= output.High)
            problems.Add(
                new($"{place}/low", $"The low end ({output.Low}) must lie below the high end ({output.High}).")
            );
        else if (output.Centre <= output.Low || output.Centre >= output.High)
            problems.Add(
                new(
                    $"{place}/centre",
                    $"The centre ({output.Centre}) must lie between the ends ({output.Low} and {output.High})."
                )
            );
    }

    private static void CheckCondition(Setup setup, string place, Test test, List<SetupProblem> problems)
    {
        if (Size(test) > MostTests)
        {
            problems.Add(new(place, $"A condition has at most {MostTests} parts, not {Size(test)}. Name some apart."));
            return;
        }

        switch (test)
        {
            case PositionTest position:
                CheckPositions(setup, place, position, problems);
                break;
            case PressTest press:
                if (Find(setup, press.Control) is not (null or ButtonControl))
                    problems.Add(
                        new($"{place}/control", $"\"{press.Control}\" is no button; only a button is pressed.")
                    );
                if (press.Before is { } before && before <= press.AtLeast)
                    problems.Add(
                        new($"{place}/before", $"A press of at least {press.AtLeast} cannot end before {before}.")
                    );
                break;
        }

        foreach (var (name, parts) in test.Groups)
        {
            if (parts.Count == 0)
                problems.Add(new($"{place}/{name}", "There must be at least one part."));
            for (var i = 0; i < parts.Count; i++)
                CheckCondition(setup, $"{place}/{name}/{i}", parts[i], problems);
        }
    }

    private static void CheckAnnouncement(
        Setup setup,
        string place,
        Announcement announcement,
        List<SetupProblem> problems
    )
    {
        if (announcement.When is null && announcement.About == AnnouncementSubject.Other)
            problems.Add(new($"{place}/when", "A condition must be named: the board reports nothing of this kind."));
        if (announcement.When is null && announcement.Every is not null)
            problems.Add(new($"{place}/every", "Only what a condition sets off is said again; a report arrives once."));
        if (announcement is { Timer: not null, Value: not null })
            problems.Add(
                new($"{place}/timer", "After the words a reading is spoken or the time of a timer, not both.")
            );
        if (announcement.Function is not { } function)
            return;
        if (announcement.About != AnnouncementSubject.Mode)
            problems.Add(new($"{place}/function", "Only the announcement of a mode names a function."));
        else if (!setup.Board.Functions.ContainsKey(function))
            problems.Add(new($"{place}/function", $"The board has no function \"{function}\"."));
    }

    private static void CheckCalls(string place, IReadOnlyList<Milliseconds> calls, List<SetupProblem> problems)
    {
        if (calls.Count > MostCalls)
            problems.Add(new(place, $"A timer calls out at most {MostCalls} times, not {calls.Count}."));
        for (var i = 0; i < calls.Count; i++)
            if (calls[i] < new Milliseconds(0) || calls[i] > LongestCall)
                problems.Add(
                    new($"{place}/{i}", $"A call comes at 0 s to {Figures.Plain(LongestCall.Value / 1000)} s.")
                );
    }

    private static void CheckPositions(Setup setup, string place, PositionTest test, List<SetupProblem> problems)
    {
        if (Find(setup, test.Control) is not { } control)
            return;
        if (test.Positions.Length == 0)
            problems.Add(new($"{place}/positions", "At least one position must be named."));
        var known = control.NamedPositions.Select(p => (int)p.Setting).ToArray();
        foreach (var position in test.Positions.Where(p => !known.Contains(p)))
            problems.Add(
                new(
                    $"{place}/positions",
                    known.Length == 0
                        ? $"{control.Name} has no positions; compare its value instead."
                        : $"{control.Name} has no position {position}."
                )
            );
    }

    private static Control? Find(Setup setup, string id) => setup.Transmitter.Controls.GetValueOrDefault(id);

    private static int Size(Test test) => 1 + test.Parts.Sum(Size);

    private static bool Exists(Setup setup, ModelReference reference) =>
        reference.Kind switch
        {
            ReferenceKind.Control => setup.Transmitter.Controls.ContainsKey(reference.Id),
            ReferenceKind.Channel => setup.Model.Channels.ContainsKey(reference.Id),
            ReferenceKind.Condition => setup.Model.Conditions.ContainsKey(reference.Id),
            ReferenceKind.Sensor => setup.Model.Sensors.ContainsKey(reference.Id),
            ReferenceKind.Timer => setup.Model.Timers.ContainsKey(reference.Id),
            ReferenceKind.State => setup.Model.States.ContainsKey(reference.Id),
        };

    private static string Missing(Setup setup, ModelReference reference) =>
        reference.Kind switch
        {
            ReferenceKind.Control => $"{setup.Transmitter.Name} has no control \"{reference.Id}\".",
            ReferenceKind.State => $"The model has no flight state \"{reference.Id}\".",
            ReferenceKind.Channel => $"The model has no channel \"{reference.Id}\".",
            ReferenceKind.Condition => $"The model has no condition \"{reference.Id}\".",
            ReferenceKind.Timer => $"The model has no timer \"{reference.Id}\".",
            ReferenceKind.Sensor => $"The model has no sensor \"{reference.Id}\".",
        };
}
