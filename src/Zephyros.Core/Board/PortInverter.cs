namespace Zephyros.Core.Board;

/// <summary>Whether a port can read a line that idles low.</summary>
public enum PortInverter
{
    /// <summary>It inverts or not, as it is set.</summary>
    BySetting,

    /// <summary>It never inverts.</summary>
    None,

    /// <summary>Its receive pad lies behind an inverter that cannot be switched off.</summary>
    Fixed,
}
