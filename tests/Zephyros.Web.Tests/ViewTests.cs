using System.Text.Json.Nodes;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

public sealed class ViewTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task Sticks_lie_where_the_stick_mode_puts_them()
    {
        var controls = (await GetAsync("/api/setups/wren/view"))["controls"]!.AsArray();
        var places = controls
            .Where(c => (string)c!["kind"]! == "stick")
            .Select(c => ((string)c!["axis"]!, (bool)c["place"]!["rightHand"]!, (bool)c["place"]!["vertical"]!));
        Assert.Equal(
            [("roll", true, false), ("pitch", true, true), ("throttle", false, true), ("yaw", false, false)],
            places
        );
    }

    [Fact]
    public async Task The_view_says_what_each_position_does_and_how_many_channels_arrive()
    {
        var view = await GetAsync("/api/setups/wren/view");
        Assert.Equal(
            (12, "AETR", 24),
            ((int)view["carriedChannels"]!, (string)view["sentOrder"]!, view["orders"]!.AsArray().Count)
        );
        var cells = view["rows"]!.AsArray().Single(r => (string)r!["control"]! == "left-shoulder")!["cells"]!.AsArray();
        Assert.Equal(["safe", "far"], cells.Select(c => (string)c!["name"]!));
        Assert.Equal("arm", (string)cells[1]!["functions"]![0]!);
        Assert.Empty(cells[0]!["functions"]!.AsArray());
    }

    [Fact]
    public async Task The_bench_can_be_looked_at_without_a_hub()
    {
        var snapshot = (await GetAsync("/api/setups/gannet/bench?follow=left-dial"))["snapshot"]!;
        Assert.Equal(
            ("left-dial", 16, 18),
            (
                (string)snapshot["trace"]!["control"]!,
                snapshot["sent"]!.AsArray().Count,
                snapshot["settings"]!.AsObject().Count
            )
        );
    }

    [Fact]
    public async Task The_schema_is_served()
    {
        var schema = await GetAsync("/api/schema");
        Assert.Equal("https://json-schema.org/draft/2020-12/schema", (string)schema["$schema"]!);
    }

    private async Task<JsonNode> GetAsync(string path)
    {
        using var client = server.CreateClient();
        return await JsonAsync(await SendAsync(client, HttpMethod.Get, path));
    }
}
