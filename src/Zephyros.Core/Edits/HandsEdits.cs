using Zephyros.Core.Hands;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Edits;

/// <summary>Edits of the transmitter's controls. Each is a pure function of the setup.</summary>
public static class HandsEdits
{
    /// <summary>Changes one control of the transmitter.</summary>
    public static SetupEdit InControl(Setup setup, string title, string controlId, Func<Control, Control> change)
    {
        var controls = setup.Transmitter.Controls;
        var changed = controls.SetItem(controlId, change(controls[controlId]));
        return SetupEdit.Between(
            title,
            setup,
            setup with
            {
                Transmitter = setup.Transmitter with { Controls = changed },
            }
        );
    }
}
