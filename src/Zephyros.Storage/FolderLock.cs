namespace Zephyros.Storage;

/// <summary>Keeps a second program off a data folder: each would show what the other has changed meanwhile. The lock belongs to the
/// process and goes with it, however it ends.</summary>
public sealed class FolderLock : IDisposable
{
    // EAGAIN of POSIX as Linux numbers it: somebody else holds the lock. Anything else says itself what it is.
    private const int Held = 11;

    private readonly FileStream file;

    private FolderLock(FileStream file) => this.file = file;

    /// <summary>Takes a folder, which is made when there is none.</summary>
    /// <exception cref="StoreException">Another program has it.</exception>
    public static FolderLock Take(string folder)
    {
        Directory.CreateDirectory(folder);
        try
        {
            return new FolderLock(
                new FileStream(
                    Path.Combine(folder, "zephyros.lock"),
                    FileMode.OpenOrCreate,
                    FileAccess.ReadWrite,
                    FileShare.None
                )
            );
        }
        catch (IOException error) when (error.HResult == Held)
        {
            throw new StoreException(
                $"The folder {folder} is used by a Zephyros that runs already. Use that one, end it, or choose another folder with --data.",
                error
            );
        }
    }

    /// <inheritdoc />
    public void Dispose() => file.Dispose();
}
