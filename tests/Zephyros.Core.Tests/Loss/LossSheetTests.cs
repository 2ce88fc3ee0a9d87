using Markdig;
using Markdig.Extensions.Tables;
using Markdig.Syntax;
using Markdig.Syntax.Inlines;
using Zephyros.Core.Craft;
using Zephyros.Core.Loss;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Loss;

/// <summary>The page that a pilot takes along, read by another program: Markdig, for CommonMark and the tables of GitHub.</summary>
public sealed class LossSheetTests
{
    private static readonly MarkdownPipeline Reader = new MarkdownPipelineBuilder().UsePipeTables().Build();

    // Whatever a name holds is text, every moment has its row, and every row its cells.
    [Fact]
    public void Whatever_happens_is_on_the_page_and_names_are_text()
    {
        const string name = "| a | *b* _c_ <i>d</i> [e](f) `g` # \\ &amp; ~~h~~\n# i";
        var random = new Random(20);
        var seen = 0;
        for (var i = 0; i < 40; i++)
        {
            var setup = LossSetups.Next(random);
            setup = setup with { Craft = setup.Craft with { Name = name } };
            var throttle = new Percent(random.Next(-1, 2) * 100);
            var flight = FlightAtLoss.Usual with { Mass = new(500), Height = new(random.Next(5, 120)) };
            var timeline = LossPlay.Of(setup, throttle, fix: false)?.With(flight);
            var page = Markdown.Parse(LossSheet.Markdown(setup, 7, flight, throttle, timeline), Reader);
            Assert.Equal(
                name.Replace('\n', ' ') + ": when the signal is lost",
                Text(page.OfType<HeadingBlock>().First())
            );
            Assert.DoesNotContain(page.Descendants(), d => d is HtmlBlock or HtmlInline or LinkInline or CodeInline);
            if (timeline is null)
                continue;
            seen++;
            var tables = page.OfType<Table>().ToArray();
            Assert.Equal(
                timeline.Marks.Select(m => (m.Text, m.Because, LossWords.Whole(m.High))),
                Rows(tables[0]).Select(r => (r[1], r[2], r[4]))
            );
            Assert.Equal(
                timeline.Returns.Select(r => (r.Dangerous ? "DANGEROUS. " : "") + r.Text),
                Rows(tables[1]).Select(r => r[1])
            );
            Assert.Equal(2, tables.Length);
            var bold = page.OfType<ParagraphBlock>().Select(Text).ElementAt(1);
            Assert.Equal(LossWords.Headline(flight, timeline) + ".", bold);
        }

        Assert.InRange(seen, 20, 40);
    }

    [Fact]
    public void A_craft_that_nothing_arms_has_a_page_that_says_so()
    {
        var page = LossSheet.Markdown(Demo.Plain, 3, FlightAtLoss.Usual, Percent.Low, null);
        Assert.Contains("Revision 3.", page, StringComparison.Ordinal);
        Assert.Contains(LossWords.Nothing, page, StringComparison.Ordinal);
    }

    // 900 ms and 1 s, 59.99 s and a minute: a span that reads the same is told once.
    [Theory]
    [InlineData(899.6, 900.4, "900 ms")]
    [InlineData(12, 900.4, "12 to 900 ms")]
    [InlineData(990, 1000, "0.99 to 1 s")]
    [InlineData(59_000, 59_990, "59 to 59.99 s")]
    [InlineData(59_990, 60_400, "60 s")]
    public void A_span_of_time_is_told_as_far_as_it_can_be_told_apart(double from, double to, string says) =>
        Assert.Equal(says, LossWords.Span(new(from), new(to)));

    private static IEnumerable<string[]> Rows(Table table) =>
        table.OfType<TableRow>().Where(r => !r.IsHeader).Select(r => r.Select(c => Text((TableCell)c)).ToArray());

    private static string Text(MarkdownObject from) =>
        string.Concat(
            (from is LeafBlock leaf ? [leaf] : from.Descendants<LeafBlock>())
                .SelectMany(block => block.Inline!.Descendants<LeafInline>())
                .Select(inline =>
                    inline switch
                    {
                        LiteralInline literal => literal.Content.ToString(),
                        HtmlEntityInline entity => entity.Transcoded.ToString(),
                        _ => throw new InvalidOperationException(inline.GetType().Name),
                    }
                )
        );
}
