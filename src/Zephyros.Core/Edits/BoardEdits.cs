using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Edits;

/// <summary>Edits of what the board reads and decides. Each is a pure function of the setup.</summary>
public static class BoardEdits
{
    /// <summary>Makes the board read the sticks in another order.</summary>
    public static SetupEdit ReadOrder(Setup setup, StickOrder map) =>
        SetupEdit.Between($"Board reads {map.Spelled()}", setup, setup with { Board = setup.Board with { Map = map } });

    /// <summary>Makes a board function watch another AUX channel.</summary>
    public static SetupEdit WatchAux(Setup setup, string functionId, int aux) =>
        WithFunction(setup, functionId, $"Watch AUX {aux}", f => f with { Aux = aux });

    /// <summary>Gives a board function another band.</summary>
    public static SetupEdit MoveBand(Setup setup, string functionId, Microseconds low, Microseconds high) =>
        WithFunction(setup, functionId, $"Band {low.Value:0} to {high}", f => f with { Low = low, High = high });

    /// <summary>Moves the limit below which the board takes the throttle for low.</summary>
    public static SetupEdit LimitThrottleLow(Setup setup, Microseconds limit) =>
        SetupEdit.Between(
            $"Throttle is low below {limit}",
            setup,
            setup with
            {
                Board = setup.Board with { ThrottleLow = limit },
            }
        );

    /// <summary>Moves the time without a good frame after which the board calls the signal lost.</summary>
    public static SetupEdit LoseSignalAfter(Setup setup, Milliseconds timeout) =>
        SetupEdit.Between(
            $"Signal lost after {timeout}",
            setup,
            setup with
            {
                Board = setup.Board with { SignalTimeout = timeout },
            }
        );

    /// <summary>Lets the board do something else on a loss of the signal.</summary>
    public static SetupEdit OnLoss(Setup setup, string title, Func<LossSettings, LossSettings> change) =>
        SetupEdit.Between(title, setup, setup with { Board = setup.Board with { Loss = change(setup.Board.Loss) } });

    /// <summary>Gives the board an arm function and feeds its channel from a switch, which arms in its far position.</summary>
    public static SetupEdit ArmWith(Setup setup, string controlId, int aux, Microseconds low, Microseconds high) =>
        Added(
            setup,
            "arm",
            "arms",
            new BoardFunction
            {
                Kind = FunctionKind.Arm,
                Label = "Arm",
                Control = controlId,
                Aux = aux,
                Low = low,
                High = high,
            }
        );

    /// <summary>Gives the board a locator beeper and feeds its channel from a switch, which sounds it in its far position.</summary>
    public static SetupEdit BeepWith(Setup setup, string controlId, int aux) =>
        Added(
            setup,
            "beeper",
            "beeps",
            new BoardFunction
            {
                Kind = FunctionKind.Beeper,
                Label = "Beeper",
                Control = controlId,
                Aux = aux,
                Low = Bands.FarEnd,
                High = Bands.Highest,
            }
        );

    private static SetupEdit Added(Setup setup, string id, string does, BoardFunction made)
    {
        var fed = ModelEdits.Fed(setup, made.Channel, made.Control);
        // A function of another kind may be called so.
        var free = FreeId.Of(id, setup.Board.Functions.ContainsKey);
        var board = setup.Board with { Functions = setup.Board.Functions.Add(free, made) };
        var title = $"{setup.Transmitter.Controls[made.Control].Name} {does} on AUX {made.Aux}";
        return SetupEdit.Between(title, setup, fed with { Board = board });
    }

    private static SetupEdit WithFunction(
        Setup setup,
        string functionId,
        string title,
        Func<BoardFunction, BoardFunction> change
    )
    {
        var functions = setup.Board.Functions.SetItem(functionId, change(setup.Board.Functions[functionId]));
        return SetupEdit.Between(title, setup, setup with { Board = setup.Board with { Functions = functions } });
    }
}
