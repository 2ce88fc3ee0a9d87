using Zephyros.Core.Board;
using Zephyros.Core.Path.Budgets;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Units;

/// <summary>The figures of the trade that are shown are those that are computed with.</summary>
public sealed class FigureRegisterTests
{
    private static TradeFigure Named(string id) => FigureRegister.All.Single(f => f.Id == id);

    [Fact]
    public void Each_has_a_name_of_its_own_and_says_where_it_comes_from()
    {
        var all = FigureRegister.All;
        Assert.Equal(all.Count, all.Select(f => f.Id).Distinct(StringComparer.Ordinal).Count());
        Assert.Equal(all.Count, all.Select(f => f.Name).Distinct(StringComparer.Ordinal).Count());
        Assert.Equal(all.OrderBy(f => f.Station).Select(f => f.Id), all.Select(f => f.Id));
        Assert.All(all, f => Assert.Equal(f.From.Kind == ProvenanceKind.Published, f.From.Source.Length > 0));
        Assert.All(all, f => Assert.False(f.Name.EndsWith('.') || f.From.Note.EndsWith('.'), f.Name));
    }

    // A quantity, a bare number, a time, and what a setup has when nobody sets it.
    [Fact]
    public void A_figure_is_the_value_that_is_used()
    {
        Assert.Equal((Bands.Step.Value, "25 µs"), (Named("Bands.Step").Value, Named("Bands.Step").Words));
        Assert.Equal("0.625 µs", Named("Packed16Format.CountStep").Words);
        Assert.Equal(0.625, WireFormat.Packed16.Codec().Descriptor.Step.Value);
        Assert.Equal("300 ms", Named("LinkSettings.UsuallyGivesUp").Words);
        Assert.Equal("10 s", Named("LossSettings.LandingTime").Words);
        Assert.Equal(new LossSettings().LandingTime.Value, Named("LossSettings.LandingTime").Value);
        Assert.Equal("−98 %", Named("Transmitter.ThrottleLow").Words);
        Assert.Equal(QualityChannels.Residue.Value, Named("QualityChannels.Residue").Value);
        Assert.Equal("4", Named("ChannelNumber.StickChannels").Words);
    }

    // The speed of light is exact: BIPM, The International System of Units, 9th edition, 2.2.
    [Fact]
    public void The_speed_of_light_is_the_published_one()
    {
        var light = Named("LinkBudget.SpeedOfLight");
        Assert.Equal((299_792_458, "m/s", ProvenanceKind.Published), (light.Value, light.Unit, light.From.Kind));
    }

    [Theory]
    [InlineData("ISO 14118, edition from memory: it starts.", "Published")]
    [InlineData("Common practice, no source.", "Practice")]
    [InlineData("From memory: of old.", "Memory")]
    [InlineData("Our own assumption.", "Own")]
    [InlineData("Worked out: by trying.", "Computed")]
    public void Where_something_comes_from_is_a_sentence(string words, string kind)
    {
        var from = kind switch
        {
            "Published" => Provenance.Published("ISO 14118", "edition from memory", "it starts"),
            "Practice" => Provenance.Practice(),
            "Memory" => Provenance.Memory("of old"),
            "Own" => Provenance.Own(),
            _ => Provenance.Computed("by trying"),
        };
        Assert.Equal(words, from.Words);
    }
}
