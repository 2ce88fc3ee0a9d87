namespace Zephyros.Web.Contracts;

/// <summary>What a control is.</summary>
public enum ControlKind
{
    /// <summary>One axis of a stick.</summary>
    Stick,

    /// <summary>A switch with two or three positions.</summary>
    Switch,

    /// <summary>A button that is on while held.</summary>
    Button,

    /// <summary>A dial.</summary>
    Dial,
}
