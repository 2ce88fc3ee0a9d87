namespace Zephyros.Core.Wire;

/// <summary>Finds the facts of a format.</summary>
public static class WireFormats
{
    /// <summary>The descriptor of <paramref name="format"/>.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The format is none of the named ones.</exception>
    public static WireDescriptor Describe(this WireFormat format) =>
        format switch
        {
            WireFormat.Packed16 => Packed16.Packed16Format.Descriptor,
            _ => throw new ArgumentOutOfRangeException(nameof(format), format, "Unknown wire format."),
        };
}
