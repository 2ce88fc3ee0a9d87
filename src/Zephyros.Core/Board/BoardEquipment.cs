using System.ComponentModel;

namespace Zephyros.Core.Board;

/// <summary>What a board can measure of its craft, besides how it turns. Each piece brings readings that it can report.</summary>
public sealed record BoardEquipment
{
    /// <summary>A divider on the battery's leads: it measures the voltage of the flight battery.</summary>
    [Description("True with a divider on the battery's leads, which measures the flight battery's voltage.")]
    public bool Divider { get; init; }

    /// <summary>A current sensor: it measures current, and adds it up to the charge used.</summary>
    [Description("True with a current sensor, which measures current and adds it up to the charge used.")]
    public bool CurrentSensor { get; init; }

    /// <summary>A barometer: it measures height.</summary>
    [Description("True with a barometer, which measures height.")]
    public bool Barometer { get; init; }

    /// <summary>A position receiver: it measures distance home, and counts satellites.</summary>
    [Description("True with a position receiver, which measures distance home and counts satellites.")]
    public bool PositionReceiver { get; init; }

    /// <summary>An analogue input is on, from which it reads the strength of the signal.</summary>
    [Description("True while an analogue input is on, from which the board reads the strength of the signal.")]
    public bool AnalogueSignal { get; init; }
}
