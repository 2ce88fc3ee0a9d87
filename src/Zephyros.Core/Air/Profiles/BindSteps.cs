namespace Zephyros.Core.Air.Profiles;

/// <summary>Steps that every bind has. Common practice, no source.</summary>
internal static class BindSteps
{
    public static BindStep PropellersOff { get; } =
        new()
        {
            Do = "Take the propellers off. Note the firmware versions of module and receiver.",
            Otherwise = "Do not go on with propellers on: a receiver that binds may wake the board.",
        };

    public static BindStep LeaveAndCycle { get; } =
        new()
        {
            Do = "Leave bind mode on both. Switch the receiver off and on.",
            Light = "receiver: solid; the transmitter shows signal strength",
            Otherwise =
                "Switch the craft off and on and begin again at bind mode. Opening the receiver's settings later must not ask for a new bind.",
        };

    public static BindStep SetLoss { get; } =
        new()
        {
            Do =
                "Set what the receiver does on a loss now; a copy of a model does not bring it along. Note the versions once more.",
        };
}
