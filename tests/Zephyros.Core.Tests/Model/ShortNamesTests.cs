using Zephyros.Core.Model;

namespace Zephyros.Core.Tests.Model;

public sealed class ShortNamesTests
{
    [Theory]
    [InlineData("Arm", 10, "")]
    [InlineData("Goggles page", 10, "Ggglspg")]
    [InlineData("Flight mode", 0, "")]
    [InlineData("Extraordinary oscillation", 6, "Extrrd")]
    [InlineData("A🚁🚁🚁🚁🚁", 4, "A🚁")]
    public void A_long_name_loses_its_vowels_first_and_then_its_end(string name, int limit, string brief) =>
        Assert.Equal(brief, ShortNames.For(name, limit));

    [Theory]
    [InlineData("Arm", "", 10, null)]
    [InlineData("", "", 10, "has no name")]
    [InlineData("  ", "x", 10, "has no name")]
    [InlineData(" Arm", "", 10, "stray spaces")]
    [InlineData("Arm", "Arm ", 10, "stray spaces")]
    [InlineData("Arm\u200B", "", 0, "invisible characters")]
    [InlineData("Flight mode", "", 10, "has 11 letters of 10")]
    [InlineData("Flight mode", "FltMd", 10, null)]
    [InlineData("Flight mode", "", 0, null)]
    // A joiner that some scripts need is no hidden character.
    [InlineData("می\u200Cرود", "", 0, null)]
    public void What_is_wrong_with_a_name_is_said(string label, string brief, int limit, string? problem)
    {
        var said = ShortNames.Problem(label, brief, limit);
        Assert.Equal(problem is null, said is null);
        Assert.Contains(problem ?? "", said ?? "", StringComparison.Ordinal);
    }
}
