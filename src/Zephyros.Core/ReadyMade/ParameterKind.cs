namespace Zephyros.Core.ReadyMade;

/// <summary>What an argument is and how it is written.</summary>
public enum ParameterKind
{
    /// <summary>The id of a control.</summary>
    Control,

    /// <summary>A control and some of its positions: "left-shoulder:2" or "left-front-outer:2,3".</summary>
    Positions,

    /// <summary>The id of a channel.</summary>
    Channel,

    /// <summary>A number.</summary>
    Number,

    /// <summary>Several numbers, with spaces or commas between them.</summary>
    Numbers,

    /// <summary>One of some words.</summary>
    Choice,
}
