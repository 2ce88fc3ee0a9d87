using Zephyros.Core.Fixes;

namespace Zephyros.Web.Proofs;

using FixesByPromise = IReadOnlyDictionary<string, IReadOnlyList<ProvenFix>>;

/// <summary>One search for the fixes of all promises that a run found broken; it begins when the run has ended and there is room.</summary>
internal sealed class FixSearch
{
    private readonly CancellationTokenSource ended;
    private readonly SemaphoreSlim room;
    private volatile bool entered;

    /// <summary>Begins when there is room for it.</summary>
    /// <param name="run">Ends before the search begins: a fix may break none of the promises that are kept.</param>
    /// <param name="search">The search.</param>
    /// <param name="room">Holds back when so many proofs and searches are under way.</param>
    /// <param name="replaced">Ends the search.</param>
    public FixSearch(
        Task run,
        Func<CancellationToken, FixesByPromise> search,
        SemaphoreSlim room,
        CancellationToken replaced
    )
    {
        this.room = room;
        ended = CancellationTokenSource.CreateLinkedTokenSource(replaced);
        Found = Task.Run(() => SearchAsync(run, search), CancellationToken.None);
    }

    /// <summary>The fixes by the code of the promise; cancelled when the search was ended.</summary>
    public Task<FixesByPromise> Found { get; }

    /// <summary>True while it waits until there is room for it.</summary>
    public bool Waits => !entered && !Found.IsCompleted;

    /// <summary>Ends it, if it still runs.</summary>
    public void End()
    {
        if (!Found.IsCompleted)
            ended.Cancel();
    }

    private async Task<FixesByPromise> SearchAsync(Task run, Func<CancellationToken, FixesByPromise> search)
    {
        await run.WaitAsync(ended.Token);
        await room.WaitAsync(ended.Token);
        entered = true;
        try
        {
            return search(ended.Token);
        }
        finally
        {
            room.Release();
        }
    }
}
