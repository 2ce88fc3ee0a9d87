using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;

namespace Zephyros.Core.Tests.Setups;

/// <summary>A document that was written once can be read for ever. Each version has a file of its time, which is never changed.</summary>
public sealed class SetupVersionTests
{
    public static TheoryData<int> Versions => [.. Enumerable.Range(1, Setup.CurrentVersion)];

    [Theory]
    [MemberData(nameof(Versions))]
    public void A_file_of_each_version_is_read(int version)
    {
        var file = File.ReadAllBytes($"Data/versions/setup-{version.ToString(CultureInfo.InvariantCulture)}.json");
        Assert.Equal(version, (int)JsonNode.Parse(file)!["version"]!);
        var reading = SetupJson.Read(file);
        Assert.Empty(reading.Problems);
        Assert.Equal(Setup.CurrentVersion, reading.Setup!.Version);
        Assert.Equal("Sandpiper", reading.Setup.Craft.Name);
    }

    [Fact]
    public void The_current_version_is_the_newest_that_can_be_read() =>
        Assert.Equal(Setup.CurrentVersion, SetupVersions.All.Newest);

    // Two versions to come, made up: one renames a member, the next gives another a new unit.
    [Fact]
    public void An_older_document_takes_each_step_that_it_has_not_taken_yet()
    {
        var taken = new List<int>();
        var versions = new SetupVersions([
            _ => taken.Add(1),
            d => d["later"] = d["later"]!.GetValue<int>() + taken.Count,
        ]);
        string Upgraded(string document, int version) =>
            Encoding.UTF8.GetString(versions.Upgraded(Encoding.UTF8.GetBytes(document), version).Span);
        Assert.Equal("""{"version":3,"later":11}""", Upgraded("""{"version":1,"later":10}""", 1));
        Assert.Equal("""{"version":3,"later":11}""", Upgraded("""{"version":2,"later":10}""", 2));
        Assert.Equal("""{ "version": 3 }""", Upgraded("""{ "version": 3 }""", 3));
        Assert.Equal([1], taken);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(3)]
    public void A_version_that_is_not_known_is_said(int version) =>
        Assert.Equal(
            $"Version {version} is not known; this program reads versions 1 to 2.",
            SetupJson
                .Read(
                    Encoding.UTF8.GetBytes($$"""{"format":"zephyros-setup","version":{{version}}}"""),
                    new SetupVersions([_ => { }])
                )
                .Problems[0]
                .Reason
        );
}
