using System.Text.Json.Nodes;
using Json.Schema;
using Zephyros.Core.Setups.Json;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>The published schema, read by a general-purpose validator (JSON Schema draft 2020-12).</summary>
public sealed class SchemaTests
{
    private static readonly JsonSchema Schema = JsonSchema.FromText(File.ReadAllText("setup.schema.json"));

    public static TheoryData<string> Names => Demo.Names;

    [Fact]
    public void The_published_schema_is_the_one_that_the_types_give()
    {
        var published = JsonNode.Parse(File.ReadAllText("setup.schema.json"));
        Assert.True(JsonNode.DeepEquals(published, SetupSchema.Create()), "Run: make schema");
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Every_demo_setup_fits_the_schema(string name) => Assert.True(Fits(JsonNode.Parse(Demo.Bytes(name))!));

    // What the schema refuses, the program must refuse too, at the same place.
    [Theory]
    [InlineData("/craft/cells", "99")]
    [InlineData("/board/map", "\"AETX\"")]
    [InlineData("/model/channels/arm/number", "33")]
    [InlineData("/transmitter/scale", "\"huge\"")]
    [InlineData("/transmitter/controls/left-shoulder/positions", "7")]
    [InlineData("/wire/framePeriod", "\"7\"")]
    [InlineData("/model/trims/roll", "100.5")]
    [InlineData("/air/presets/5", "799")]
    [InlineData("/board/wander/5", "101")]
    [InlineData("/surprise", "1")]
    public void Schema_and_program_refuse_the_same(string pointer, string value)
    {
        var document = JsonNode.Parse(Demo.Bytes("wren"))!;
        var names = pointer[1..].Split('/');
        var parent = names[..^1].Aggregate(document, (node, name) => node[name] ??= new JsonObject());
        parent[names[^1]] = JsonNode.Parse(value);
        Assert.False(Fits(document));
        var problem = Assert.Single(SetupJson.Read(document).Problems);
        Assert.Equal(pointer, problem.Place);
    }

    private static bool Fits(JsonNode document) =>
        Schema.Evaluate(System.Text.Json.JsonSerializer.SerializeToElement(document)).IsValid;
}
