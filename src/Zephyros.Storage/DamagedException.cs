namespace Zephyros.Storage;

/// <summary>The data file is damaged where something is stored that was asked for. The rest of it can be used.</summary>
/// <param name="file">The name of the file.</param>
/// <param name="inner">The database's own word.</param>
public sealed class DamagedException(string file, Exception inner)
    : StoreException(
        $"The data file {file} is damaged where this is stored. Export what can still be read, then put the file aside and restore a copy.",
        inner
    );
