namespace Zephyros.Core.Wire;

/// <summary>The wire formats between receiver and board. Each has a folder of its own.</summary>
public enum WireFormat
{
    /// <summary>Sixteen 11-bit channels packed into 25 bytes; see <see cref="Packed16.Packed16Format"/>.</summary>
    Packed16,
}
