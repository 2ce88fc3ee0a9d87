using System.Globalization;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>A curve that turns the uneven values of a multi-position switch into the wanted ones.</summary>
public sealed class StraightenSwitch : IReadyMade
{
    /// <inheritdoc />
    public string Id => "straighten-switch";

    /// <inheritdoc />
    public string Title => "Straighten a multi-position switch";

    /// <inheritdoc />
    public string Purpose =>
        "Five and six positions rarely give evenly spaced values. A curve turns the measured values into the wanted ones; "
        + "points to spare become flat stretches, so that a worn contact changes nothing. Try it on a spare channel first.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        var switches = setup
            .Transmitter.Listed.Where(c => c.Value is SwitchControl { Positions: > 2 })
            .OrderByDescending(c => ((SwitchControl)c.Value).Positions)
            .ToArray();
        var first = switches.Select(s => (SwitchControl)s.Value).FirstOrDefault();
        var id = switches.Select(s => s.Key).FirstOrDefault() ?? "";
        var taking = setup
            .Model.Channels.Where(c => c.Value.Take is ControlSource source && source.Control == id)
            .Select(c => c.Key)
            .Order(StringComparer.Ordinal)
            .FirstOrDefault();
        var channels = Workshop.Channels(setup);
        var target = taking ?? (channels.Count > 0 ? channels[^1].Value : "");
        return
        [
            new("switch", "Switch", ParameterKind.Control, id)
            {
                Options = [.. switches.Select(s => new Option(s.Key, s.Value.Name))],
            },
            new("channel", "On channel", ParameterKind.Channel, target) { Options = channels },
            new("measured", "Measured, position 1 first", ParameterKind.Numbers, Listed(Measured(first)))
            {
                Unit = Percent.Symbol,
            },
            new("wanted", "Wanted, position 1 first", ParameterKind.Numbers, Listed(Even(first?.Positions ?? 0)))
            {
                Unit = Percent.Symbol,
            },
            new("tolerance", "Close enough", ParameterKind.Number, "2.5")
            {
                Unit = Percent.Symbol,
                Minimum = 0,
                Maximum = 20,
            },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var (id, channelId) = (wanted.Option("switch"), wanted.Option("channel"));
        var tolerance = wanted.Number("tolerance");
        if (wanted.Problems.Count > 0)
            return null;
        var selector = (SwitchControl)setup.Transmitter.Controls[id];
        var measured = Percents(wanted.Numbers("measured", selector.Positions));
        var goals = Percents(wanted.Numbers("wanted", selector.Positions));
        if (measured.Distinct().Count() != measured.Length)
            wanted.Refuse("measured", "Two positions measured the same cannot be told apart.");
        if (wanted.Problems.Count > 0)
            return null;
        var transmitter = setup.Transmitter;
        var fit = CurveSolver.Solve(
            measured,
            goals,
            new Percent(tolerance),
            transmitter.CurvePoints,
            transmitter.TravelStep
        );
        var work = new Workshop(WithReadings(setup, id, selector, measured));
        work.Put(channelId, setup.Model.Channels[channelId] with { Take = new ControlSource { Control = id } });
        // The values are measured at the switch, so the curve comes first. One that is there already is an older straightening.
        if (work.Setup.Model.Channels[channelId].OrderedSteps is [{ Value: CurveStep older } first, ..])
            work.Replace(channelId, first.Key, older with { Points = fit.Points, Smooth = false, Off = false });
        else
            work.Prepend(channelId, "straighten", new CurveStep { Order = 0, Points = fit.Points });
        return new Built(work.Setup, [.. Facts(transmitter, fit, measured, goals, tolerance)]);
    }

    private static Setup WithReadings(Setup setup, string id, SwitchControl selector, Percent[] measured)
    {
        var known = selector with { Readings = [.. measured] };
        var controls = setup.Transmitter.Controls.SetItem(id, known);
        return setup with { Transmitter = setup.Transmitter with { Controls = controls } };
    }

    private static IEnumerable<string> Facts(
        Transmitter transmitter,
        CurveFit fit,
        Percent[] measured,
        Percent[] goals,
        double tolerance
    )
    {
        for (var i = 0; i < measured.Length; i++)
        {
            var gives = new Percent(goals[i].Value + fit.Residuals[i]);
            yield return $"Position {i + 1}: measured {measured[i]}, wanted {goals[i]}, gives {gives}, off by {new Percent(fit.Residuals[i])}.";
        }

        yield return $"{fit.Points.Length} of {transmitter.CurvePoints} points; {fit.Flats} positions lie on a flat stretch.";
        yield return fit.Within
            ? $"Every position is within {Figures.Plain(tolerance)} %."
            : $"Not within {Figures.Plain(tolerance)} %: the worst is off by {Figures.Plain(fit.Worst)} %. More points would be needed.";
    }

    private static Percent[] Percents(IReadOnlyList<double> values) => [.. values.Select(v => new Percent(v))];

    private static IEnumerable<double> Measured(SwitchControl? selector) =>
        selector is null ? [] : Enumerable.Range(1, selector.Positions).Select(p => selector.ValueAt(p).Value);

    private static IEnumerable<double> Even(int positions) =>
        Enumerable.Range(0, positions).Select(i => -100 + (200.0 * i / (positions - 1)));

    private static string Listed(IEnumerable<double> values) =>
        string.Join(' ', values.Select(v => Math.Round(v, 1).ToString(CultureInfo.InvariantCulture)));
}
