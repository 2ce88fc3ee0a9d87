using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.Configuration;
using Microsoft.Extensions.DependencyInjection;
using Zephyros.Storage;
using Zephyros.Web.Start;

namespace Zephyros.Web.Tests;

public sealed class OpeningTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task A_request_that_comes_while_the_file_is_opened_waits_for_it()
    {
        var cancel = TestContext.Current.CancellationToken;
        using var open = new ManualResetEventSlim();
        await using var services = new ServiceCollection()
            .AddSingleton(_ =>
            {
                open.Wait(cancel);
                return server.Services.GetRequiredService<SetupStore>();
            })
            .BuildServiceProvider();
        var opening = new Opening(services, new ConfigurationBuilder().Build());
        var context = new DefaultHttpContext();
        var served = false;
        await opening.StartingAsync(cancel);
        var early = opening.HoldAsync(
            context,
            _ =>
            {
                served = true;
                return Task.CompletedTask;
            }
        );
        Assert.False(early.IsCompleted || served);
        open.Set();
        await early;
        Assert.True(served);
    }
}
