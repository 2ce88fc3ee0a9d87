namespace Zephyros.Web.Flights;

/// <summary>Work that takes a while: how far it is, and its end. Safe for use by several threads.</summary>
/// <typeparam name="T">What comes of it.</typeparam>
internal sealed class LongWork<T> : IProgress<double>, IDisposable
    where T : class
{
    // One at a time: two would take the memory of two.
    private static readonly SemaphoreSlim Room = new(1);

    private readonly CancellationTokenSource cancellation = new();
    private double share;

    /// <summary>Begins when there is room for it.</summary>
    public LongWork(Func<IProgress<double>, CancellationToken, T> work) => Ended = WorkAsync(work);

    /// <summary>How far it is, 0 to 1.</summary>
    public double Share => Volatile.Read(ref share);

    /// <summary>What came of it; null while it works, and when it was ended early.</summary>
    public T? Result => Ended.IsCompletedSuccessfully ? Ended.Result : null;

    /// <summary>What ended it that should not have; null when nothing did.</summary>
    public string? Fault => Ended.Exception?.InnerException?.Message;

    /// <summary>True while it works or waits for its turn.</summary>
    public bool Works => !Ended.IsCompleted;

    /// <summary>Its end, with nothing when it was ended early.</summary>
    public Task<T?> Ended { get; }

    /// <inheritdoc />
    public void Report(double value) => Volatile.Write(ref share, value);

    /// <summary>Ends it early.</summary>
    public void Dispose() => cancellation.Cancel();

    private async Task<T?> WorkAsync(Func<IProgress<double>, CancellationToken, T> work)
    {
        var token = cancellation.Token;
        try
        {
            await Room.WaitAsync(token);
            try
            {
                return await Task.Run(() => work(this, token), token);
            }
            finally
            {
                Room.Release();
            }
        }
        catch (OperationCanceledException)
        {
            return null;
        }
    }
}
