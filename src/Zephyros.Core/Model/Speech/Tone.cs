namespace Zephyros.Core.Model.Speech;

/// <summary>A tone that is heard before the words of an announcement: known before they are understood.</summary>
public enum Tone
{
    /// <summary>A low tone.</summary>
    Low,

    /// <summary>A high tone.</summary>
    High,

    /// <summary>A tone that rises.</summary>
    Rising,

    /// <summary>A tone that falls.</summary>
    Falling,
}
