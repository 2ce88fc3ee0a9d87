namespace Zephyros.Core.Work;

/// <summary>How a step of the work is shown to be done.</summary>
public enum ShownBy
{
    /// <summary>Worked out from the setup.</summary>
    Computed,

    /// <summary>By the record of a bind.</summary>
    Bound,

    /// <summary>By measurements at the real board.</summary>
    Measured,

    /// <summary>Stored in the transmitter, and ticked.</summary>
    Stored,

    /// <summary>Looked at again after it was saved and restarted, and ticked.</summary>
    ReadBack,

    /// <summary>Tried at the bench with the propellers off, and ticked.</summary>
    Tried,
}
