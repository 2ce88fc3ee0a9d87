using System.Runtime.CompilerServices;
using System.Text.Json.Nodes;

namespace Zephyros.Web.Tests;

/// <summary>The licences of what ships are shipped with it. Those of scripts and fonts are collected when the interface is built.</summary>
public sealed class LicenceTests
{
    [Fact]
    public void Every_package_of_the_server_is_named()
    {
        var libraries = JsonNode.Parse(File.ReadAllText("Zephyros.Web.deps.json"))!["libraries"]!.AsObject();
        var packages = libraries
            .Where(l => (string)l.Value!["type"]! == "package")
            .Select(l => l.Key.Split('/')[0])
            .ToArray();
        Assert.Contains("Microsoft.Data.Sqlite", packages);
        var text = File.ReadAllText(Path.Combine(Here(), "../../src/frontend/public/licences-server.txt"));
        Assert.DoesNotContain(packages, p => !text.Contains(p, StringComparison.OrdinalIgnoreCase));
    }

    private static string Here([CallerFilePath] string path = "") => Path.GetDirectoryName(path)!;
}
