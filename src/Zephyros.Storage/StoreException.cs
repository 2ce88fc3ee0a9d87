namespace Zephyros.Storage;

/// <summary>The data file cannot be used as it is; the message says why and what to do. Nothing has been changed.</summary>
public class StoreException : Exception
{
    /// <summary>Makes the exception.</summary>
    /// <param name="message">Why, and what to do.</param>
    /// <param name="inner">The database's own word.</param>
    public StoreException(string message, Exception? inner = null)
        : base(message, inner) { }
}
