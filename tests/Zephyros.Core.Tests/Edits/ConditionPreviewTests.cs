using Zephyros.Core.Edits;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Edits;

/// <summary>A condition, looked at before it is saved.</summary>
public sealed class ConditionPreviewTests
{
    private static readonly Setup Setup = Demo.Plain.WithCondition("ready", At("left-shoulder", 1));

    [Fact]
    public void A_condition_that_can_be_saved_is_said_as_a_sentence()
    {
        var preview = Look(null, Any(Holds("ready"), At("right-shoulder", 2)));
        Assert.Empty(preview.Problems);
        Assert.Null(preview.Caution);
        Assert.Contains("ready", preview.Sentence, StringComparison.Ordinal);
        Assert.Contains("Right shoulder", preview.Sentence, StringComparison.Ordinal);
    }

    [Fact]
    public void What_never_or_always_holds_or_asks_for_itself_is_cautioned()
    {
        Assert.Equal("It can never hold.", Look(null, All(Holds("ready"), At("left-shoulder", 2))).Caution);
        Assert.Equal("It always holds.", Look(null, Any(Holds("ready"), At("left-shoulder", 2))).Caution);
        Assert.Equal(
            "It asks for itself, through others or directly.",
            Look("ready", Any(Holds("ready"), At("right-shoulder", 2))).Caution
        );
        var through = Setup.WithCondition("other", Not(Holds("ready")));
        Assert.Equal(
            "It asks for itself, through others or directly.",
            ConditionPreview.Of(through, "ready", Made(Holds("other"))).Caution
        );
    }

    [Fact]
    public void What_is_wrong_with_it_is_told_by_places_in_the_condition_alone()
    {
        // Something else is wrong in the setup as well; that is not its business.
        var broken = Setup.WithCondition("elsewhere", Holds("nobody"));
        var preview = ConditionPreview.Of(broken, null, Made(All(At("left-shoulder", 3), Holds("missing"))));
        Assert.Equal("", preview.Sentence);
        Assert.All(preview.Problems, p => Assert.StartsWith("/test/of/", p.Place, StringComparison.Ordinal));
        Assert.Contains(preview.Problems, p => p.Place.StartsWith("/test/of/0/positions", StringComparison.Ordinal));
        Assert.Contains(preview.Problems, p => p.Place == "/test/of/1/condition");
    }

    [Theory]
    [InlineData("-1")]
    [InlineData("")]
    [InlineData("Not an id")]
    public void Of_one_with_a_wrong_id_nothing_is_said_but_that(string id)
    {
        var preview = ConditionPreview.Of(Setup, id, Made(Holds("nobody")));
        Assert.Equal(("", null), (preview.Sentence, preview.Caution));
        Assert.NotEmpty(preview.Problems);
    }

    private static Condition Made(Test test) => new() { Label = "Trial", Test = test };

    private static ConditionPreview Look(string? id, Test test) => ConditionPreview.Of(Setup, id, Made(test));
}
