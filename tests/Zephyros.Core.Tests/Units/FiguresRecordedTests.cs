using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Units;

/// <summary>The documents of figures and words are written by the program; see <see cref="Recorded"/>.</summary>
public sealed class FiguresRecordedTests
{
    [Fact]
    public void The_document_of_figures_is_the_register() =>
        Recorded.AssertDocument(
            "docs/trade/figures.md",
            [
                "# Figures",
                "",
                "What Zephyros computes with, read off the program by `make record`. What is not published may be otherwise on a real transmitter, receiver or board: its manual and a measurement at the bench count more.",
                .. FigureRegister
                    .All.GroupBy(f => f.Station)
                    .SelectMany(station =>
                        station
                            .Select(f => $"| {f.Name} | {f.Words} | {f.From.Words} |")
                            .Prepend("|---|---|---|")
                            .Prepend("| Figure | Value | Where it comes from |")
                            .Prepend("")
                            .Prepend($"## {station.Key}")
                            .Prepend("")
                    ),
            ]
        );

    [Fact]
    public void The_document_of_words_is_the_glossary()
    {
        Assert.Distinct(Glossary.All.Select(w => w.Word), StringComparer.Ordinal);
        Recorded.AssertDocument(
            "docs/trade/words.md",
            [
                "# Words",
                "",
                "The field's words as Zephyros uses them, along the path of the signal; the program explains them where they stand.",
                "",
                "| Word | Meaning |",
                "|---|---|",
                .. Glossary.All.Select(w => $"| **{w.Word}** | {w.Meaning} |"),
            ]
        );
    }
}
