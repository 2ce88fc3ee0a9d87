using System.Text.Json;
using System.Text.Json.Nodes;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>Worked examples of RFC 6902, Appendix A, that concern objects.</summary>
public sealed class JsonPatchStandardTests
{
    [Theory]
    // A.1 Adding an object member; A.3 removing; A.5 replacing; A.10 adding a nested member; A.14 ~ escape ordering.
    [InlineData("""{"foo":"bar"}""", """[{"op":"add","path":"/baz","value":"qux"}]""", """{"baz":"qux","foo":"bar"}""")]
    [InlineData("""{"baz":"qux","foo":"bar"}""", """[{"op":"remove","path":"/baz"}]""", """{"foo":"bar"}""")]
    [InlineData(
        """{"baz":"qux","foo":"bar"}""",
        """[{"op":"replace","path":"/baz","value":"boo"}]""",
        """{"baz":"boo","foo":"bar"}"""
    )]
    [InlineData(
        """{"foo":"bar"}""",
        """[{"op":"add","path":"/child","value":{"grandchild":{}}}]""",
        """{"foo":"bar","child":{"grandchild":{}}}"""
    )]
    [InlineData("""{"/":9,"~1":10}""", """[{"op":"test","path":"/~01","value":10}]""", """{"/":9,"~1":10}""")]
    public void Examples_that_apply(string before, string patch, string after) =>
        Assert.True(JsonNode.DeepEquals(JsonNode.Parse(after), JsonPatch.Apply(Node(before), Operations(patch))));

    [Theory]
    // A.9 a failing test; A.12 adding below something that does not exist; A.15 strings and numbers differ.
    [InlineData("""{"baz":"qux"}""", """[{"op":"test","path":"/baz","value":"bar"}]""", "/baz", true)]
    [InlineData("""{"foo":"bar"}""", """[{"op":"add","path":"/baz/bat","value":"qux"}]""", "/baz/bat", false)]
    [InlineData("""{"/":9,"~1":10}""", """[{"op":"test","path":"/~01","value":"10"}]""", "/~01", true)]
    public void Examples_that_fail_change_nothing(string before, string patch, string place, bool isTest)
    {
        var document = Node(before);
        var error = Assert.Throws<PatchException>(() => JsonPatch.Apply(document, Operations(patch)));
        Assert.Equal((place, isTest), (error.Place, error.IsTest));
        Assert.Equal(before, document.ToJsonString());
    }

    private static JsonObject Node(string json) => JsonNode.Parse(json)!.AsObject();

    private static PatchOperation[] Operations(string json) =>
        JsonSerializer.Deserialize<PatchOperation[]>(json, SetupJson.Options)!;
}
