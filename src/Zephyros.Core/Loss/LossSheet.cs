using System.Text;
using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>What a loss of the signal will do, on one page to take along.</summary>
public static class LossSheet
{
    /// <summary>How the name of a file ends that holds the page.</summary>
    public const string FileEnding = ".md";

    // What CommonMark and its tables would take for something else than text.
    private const string Special = "\\`*_[]<>#|&~";

    /// <summary>Writes the page.</summary>
    /// <param name="setup">A valid setup.</param>
    /// <param name="revision">Its revision, which the page names.</param>
    /// <param name="flight">The flight that it is reckoned with.</param>
    /// <param name="throttle">Where the throttle stick stands, in percent.</param>
    /// <param name="timeline">What happens; null when no hands that were tried arm the craft.</param>
    /// <returns>Markdown: CommonMark 0.31.2, tables as most readers know them.</returns>
    public static string Markdown(
        Setup setup,
        int revision,
        FlightAtLoss flight,
        Percent throttle,
        LossTimeline? timeline
    )
    {
        var page = new StringBuilder();
        Line($"# {Text(setup.Craft.Name)}: when the signal is lost");
        Line($"Revision {revision}. {Reckoned(setup, flight, throttle, timeline?.Fix == true)}");
        if (timeline is null)
        {
            Line($"**{LossWords.Nothing}**");
            return page.ToString();
        }

        Line($"**{Text(LossWords.Headline(flight, timeline))}.**");
        Line(Text(string.Join(" ", timeline.Footprint.Words)));
        Line("## Second by second");
        Table(
            ["After the last packet", "What happens", "Because", "Far", "High"],
            timeline.Marks.Select(m => (string[])[m.When, m.Text, m.Because, m.Away, LossWords.Whole(m.High)])
        );
        Line("## When the signal comes back, hands unmoved");
        Table(
            ["Back", "What happens"],
            timeline.Returns.Select(r => (string[])[r.When, (r.Dangerous ? "DANGEROUS. " : "") + r.Text])
        );
        if (timeline.Returns.Count > 1)
            Line($"Each up to a frame, {setup.Wire.FramePeriod}, earlier.");
        if (timeline.Returns.Any(r => r.Dangerous))
            Line("Before anybody goes near the craft: throttle down, arm switch off.");
        foreach (var each in timeline.OnPurpose)
            Line(
                $"**{Text(each.Label)}**, on purpose: {Text((each.Same ? "" : "not as a real loss. ") + string.Join(" ", each.Words))}"
            );
        Line(
            "Simulated: that is not a bench test. Try it at idle, propellers off. The law where you fly decides on distances."
        );
        return page.ToString();

        void Line(string text) => page.Append(text).Append("\n\n");
        void Table(string[] heads, IEnumerable<string[]> rows)
        {
            Row(heads);
            Row([.. heads.Select(_ => "---")]);
            foreach (var row in rows)
                Row([.. row.Select(Text)]);
            page.Append('\n');
        }

        void Row(string[] cells) => page.Append("| ").AppendJoin(" | ", cells).Append(" |\n");
    }

    private static string Reckoned(Setup setup, FlightAtLoss flight, Percent throttle, bool fix)
    {
        var whose = setup.Craft.AtLoss is null ? " (our own assumption: no flight is written down)" : "";
        var air = flight.FallsAt is { } falls ? $"falls at {falls} in the end" : "the air left out";
        var home =
            setup.Board.Loss.Procedure != LossProcedure.ReturnHome ? ""
            : fix ? ", with a position fix"
            : ", without a position fix";
        return $"Reckoned with {flight.Wind} of wind from anywhere, the throttle stick at {Figures.Plain((throttle.Value + 100) / 2, 0)} % of its way up, {air}{home}{whose}.";
    }

    // Names are the pilot's: whatever stands in them is text, on one line.
    private static string Text(string said)
    {
        var text = new StringBuilder(said.Length);
        foreach (var letter in said)
        {
            if (Special.Contains(letter, StringComparison.Ordinal))
                text.Append('\\');
            text.Append(char.IsControl(letter) || letter is '\u2028' or '\u2029' ? ' ' : letter);
        }

        return text.ToString();
    }
}
