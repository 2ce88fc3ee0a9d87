namespace Zephyros.Core.Wire.Packed16;

/// <summary>The flag byte of a Packed 16 frame (layout from memory). The upper four bits are always zero.</summary>
[Flags]
public enum Packed16Flags : byte
{
    /// <summary>No flag.</summary>
    None = 0,

    /// <summary>Digital channel 17 is on.</summary>
    Channel17 = 1,

    /// <summary>Digital channel 18 is on.</summary>
    Channel18 = 2,

    /// <summary>The receiver missed the packet; the frame repeats older values.</summary>
    FrameLost = 4,

    /// <summary>The receiver has lost the signal.</summary>
    SignalLoss = 8,
}
