namespace Zephyros.Core.Proof.Tables;

/// <summary>Counts the bytes that some tables take, about.</summary>
internal sealed class ByteMeter
{
    /// <summary>The bytes.</summary>
    public long Bytes { get; set; }
}
