using Zephyros.Core.Hands;

namespace Zephyros.Web.Contracts;

/// <summary>A control as the dock draws it.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">The name to show.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Axis">For a stick: what it commands.</param>
/// <param name="Springs">True for a stick's axis that returns to its centre once it is let go.</param>
/// <param name="Place">For a stick: the hand and direction of its axis, by the stick mode.</param>
/// <param name="Positions">For a switch or a button: its positions, the safe one first.</param>
/// <param name="Where">Where the fingers find it; null for a stick.</param>
/// <param name="Latching">True for a button whose push stays in until the next.</param>
/// <param name="Start">Where it stands at switch-on: percent, position, or 0 for a button.</param>
public sealed record ControlView(
    string Id,
    string Name,
    ControlKind Kind,
    StickAxis? Axis,
    bool Springs,
    StickPlace? Place,
    IReadOnlyList<ControlPosition> Positions,
    ControlPlace? Where,
    bool Latching,
    double Start
)
{
    /// <summary>The view of a control of a transmitter.</summary>
    public static ControlView Of(string id, Control control, Transmitter transmitter)
    {
        var stick = control as StickControl;
        var kind = control switch
        {
            StickControl => ControlKind.Stick,
            SwitchControl => ControlKind.Switch,
            ButtonControl => ControlKind.Button,
            SliderControl => ControlKind.Slider,
            ExternalInput => ControlKind.Input,
            _ => ControlKind.Dial,
        };
        var place = stick is null ? (StickPlace?)null : StickMode.Locate(transmitter.StickMode, stick.Axis);
        return new ControlView(
            id,
            control.Name,
            kind,
            stick?.Axis,
            stick?.Axis.Springs() ?? false,
            place,
            control.NamedPositions,
            (control as PlacedControl)?.Place,
            control is ButtonControl { Latching: true },
            control.StartSetting
        );
    }
}
