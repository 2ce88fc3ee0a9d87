using Zephyros.Storage;

namespace Zephyros.Web.Start;

/// <summary>Opens the file, and fills it with demo data where that is wanted, while the host starts. Nothing counts as started before
/// both are done.</summary>
internal sealed class Opening(IServiceProvider services, IConfiguration configuration) : IHostedLifecycleService
{
    private Task opened = Task.CompletedTask;

    /// <summary>Lets a request that comes early wait, so that it does not find an empty hangar.</summary>
    public async Task HoldAsync(HttpContext context, RequestDelegate next)
    {
        await opened;
        await next(context);
    }

    /// <inheritdoc />
    public Task StartingAsync(CancellationToken cancellationToken)
    {
        opened = Task.Run(Open, cancellationToken);
        return Task.CompletedTask;
    }

    /// <inheritdoc />
    public Task StartAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    /// <inheritdoc />
    /// <exception cref="StoreException">The file, or a demo setup, cannot be read.</exception>
    public Task StartedAsync(CancellationToken cancellationToken)
    {
        // The first request would wait until the endpoints are built.
        _ = services.GetRequiredService<EndpointDataSource>().Endpoints.Count;
        return opened;
    }

    /// <inheritdoc />
    public Task StoppingAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    /// <inheritdoc />
    public Task StopAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    /// <inheritdoc />
    public Task StoppedAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    private void Open()
    {
        var store = services.GetRequiredService<SetupStore>();
        // A damaged file is opened for what can still be read of it, and nothing is put into it.
        if (configuration.GetValue("demo", false) && services.GetRequiredService<Database>().Damaged is null)
            DemoData.LoadIntoEmpty(store);
    }
}
