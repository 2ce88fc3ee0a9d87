namespace Zephyros.Web.Contracts;

/// <summary>What a control is.</summary>
public enum ControlKind
{
    /// <summary>One axis of a stick.</summary>
    Stick,

    /// <summary>A switch with two to six positions.</summary>
    Switch,

    /// <summary>A button that is on while held, or from push to push.</summary>
    Button,

    /// <summary>A dial.</summary>
    Dial,

    /// <summary>A slider.</summary>
    Slider,

    /// <summary>An external input.</summary>
    Input,
}
