using System.Text;
using System.Text.Json.Nodes;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Tests.Setups;

public sealed class SetupJsonTests
{
    public static TheoryData<string> Names => Demo.Names;

    [Theory]
    [MemberData(nameof(Names))]
    public void A_setup_written_and_read_again_is_the_same(string name)
    {
        var setup = Demo.Load(name);
        var again = SetupJson.Read(SetupJson.WriteIndented(setup)).Setup!;
        Assert.Equal(CanonicalJson.Write(setup), CanonicalJson.Write(again));
    }

    [Theory]
    [InlineData("this is not JSON", "", "Not JSON at line 1, byte")]
    [InlineData("{\n  \"format\": \"zephyros-setup\",\n  oops\n}", "", "Not JSON at line 3, byte 3")]
    [InlineData("", "", "Not JSON")]
    [InlineData("[]", "", "JSON object")]
    [InlineData("{} {}", "", "Not JSON at line 1, byte 4")]
    [InlineData("null", "", "JSON object")]
    [InlineData("{}", "/format", "not a setup document")]
    [InlineData("""{"format":"something-else","version":1}""", "/format", "not a setup document")]
    [InlineData("""{"format":"zephyros-setup"}""", "/version", "whole number")]
    [InlineData("""{"format":"zephyros-setup","version":2}""", "/version", "Version 2 is not known")]
    [InlineData("""{"format":"zephyros-setup","version":1}""", "", "craft")]
    [InlineData("""{"format":"zephyros-setup","version":1,"format":"zephyros-setup"}""", "/format", "Duplicate")]
    public void Other_documents_are_refused_with_place_and_reason(string text, string place, string reason)
    {
        var problem = Assert.Single(SetupJson.Read(Encoding.UTF8.GetBytes(text)).Problems);
        Assert.Equal(place, problem.Place);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("/model/channels/arm/number", "17", "channels 1 to 16")]
    [InlineData("/model/channels/mode/number", "5", "already \"arm\"")]
    [InlineData("/model/channels/arm/number", "1.5", "whole number")]
    [InlineData("/model/channels/arm/colour", "\"red\"", "could not be mapped")]
    [InlineData("/model/channels/arm/take/control", "\"nobody\"", "no control \"nobody\"")]
    [InlineData("/model/channels/arm/output/low", "100", "below the high end")]
    [InlineData("/model/channels/arm/output/high", "151", "150")]
    [InlineData("/board/map", "\"AETT\"", "the letter T twice")]
    [InlineData("/board/receiverPort", "\"port-9\"", "no port")]
    [InlineData("/board/functions/arm/high", "1700", "must end above")]
    [InlineData("/board/functions/arm/planned", "[3]", "no position 3")]
    [InlineData("/board/functions/arm/planned", "[2, 2]", "planned twice")]
    [InlineData("/transmitter/controls/left-shoulder/start", "3", "2 positions")]
    [InlineData("/transmitter/controls/left-front-inner/safe", "2", "an end")]
    [InlineData("/board/spans/flaps", "{\"low\": 1000, \"high\": 2000}", "wanted here: roll, pitch, throttle, yaw")]
    [InlineData("/air/presets/05", "1000", "number of a channel is wanted here, not \"05\"")]
    [InlineData("/air/presets/five", "1000", "not \"five\"")]
    [InlineData("/air/presets/13", "1000", "channels 1 to 12, not 13")]
    [InlineData("/air/onLoss", "\"maybe\"", "One of these is wanted here: ")]
    [InlineData("/craft/name", "\"\"", "1 to 40 characters")]
    [InlineData("/craft/name", "\"a\\u0007b\"", "Control characters")]
    public void A_wrong_member_is_named(string pointer, string value, string reason)
    {
        var document = JsonNode.Parse(Demo.Bytes("wren"))!;
        var names = pointer[1..].Split('/');
        var parent = names[..^1].Aggregate(document, (node, name) => node[name] ??= new JsonObject());
        parent[names[^1]] = JsonNode.Parse(value);
        var problem = SetupJson.Read(Encoding.UTF8.GetBytes(document.ToJsonString())).Problems[0];
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
        Assert.True(
            problem.Place.StartsWith(pointer, StringComparison.Ordinal)
                || pointer.StartsWith(problem.Place, StringComparison.Ordinal)
        );
        Assert.NotEmpty(problem.Place);
    }

    [Fact]
    public void Deep_nesting_is_refused()
    {
        var text = string.Concat(Enumerable.Repeat("{\"a\":", 10_000));
        var problem = Assert.Single(SetupJson.Read(Encoding.UTF8.GetBytes(text)).Problems);
        Assert.Contains("depth", problem.Reason, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("$", "")]
    [InlineData("$.model.channels", "/model/channels")]
    [InlineData("$.model['a.b'].x", "/model/a.b/x")]
    [InlineData("$.list[3].x", "/list/3/x")]
    [InlineData("$['a/b~c']", "/a~1b~0c")]
    public void Places_are_json_pointers(string path, string pointer) =>
        Assert.Equal(pointer, JsonPlace.ToPointer(path));
}
