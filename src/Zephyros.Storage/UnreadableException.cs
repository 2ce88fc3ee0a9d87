namespace Zephyros.Storage;

/// <summary>A stored setup is asked for and cannot be read. Everything else in the file can be used.</summary>
/// <param name="id">The setup's id.</param>
/// <param name="reason">Why, with the place.</param>
public sealed class UnreadableException(string id, string reason)
    : Exception($"The stored setup \"{id}\" cannot be read. {reason} It is kept as it is; the hangar gives its file.");
