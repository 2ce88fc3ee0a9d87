namespace Zephyros.Core.Air;

/// <summary>Where a radio module sits.</summary>
public enum ModulePlace
{
    /// <summary>Inside the transmitter.</summary>
    BuiltIn,

    /// <summary>In the bay at its back.</summary>
    PlugIn,
}
