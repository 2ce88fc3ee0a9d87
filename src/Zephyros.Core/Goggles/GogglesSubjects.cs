using Zephyros.Core.Model;

namespace Zephyros.Core.Goggles;

/// <summary>What is known of what goggles show.</summary>
public static class GogglesSubjects
{
    /// <summary>What an item shows, in words.</summary>
    public static string Words(this GogglesSubject subject) =>
        subject switch
        {
            GogglesSubject.PackVoltage => "Voltage of the pack",
            GogglesSubject.CellVoltage => "Voltage of a cell",
            GogglesSubject.SignalQuality => "Signal quality",
            GogglesSubject.SignalStrength => "Signal strength",
            GogglesSubject.ArmedTime => "Armed time",
            GogglesSubject.Function => "Function that flies",
            GogglesSubject.Warnings => "Warnings",
            GogglesSubject.Current => "Current",
            GogglesSubject.ChargeUsed => "Charge used",
            GogglesSubject.Height => "Height",
            GogglesSubject.Home => "Way home",
            GogglesSubject.Satellites => "Satellites",
            GogglesSubject.Throttle => "Throttle",
            GogglesSubject.Name => "Name",
        };

    /// <summary>The reading of the board that an item needs; null for what needs none.</summary>
    public static SensorSubject? Needs(this GogglesSubject subject) =>
        subject switch
        {
            GogglesSubject.PackVoltage or GogglesSubject.CellVoltage => SensorSubject.Voltage,
            GogglesSubject.Current => SensorSubject.Current,
            GogglesSubject.ChargeUsed => SensorSubject.ChargeUsed,
            GogglesSubject.Height => SensorSubject.Height,
            GogglesSubject.Home => SensorSubject.Distance,
            GogglesSubject.Satellites => SensorSubject.Satellites,
            GogglesSubject.SignalQuality
            or GogglesSubject.SignalStrength
            or GogglesSubject.ArmedTime
            or GogglesSubject.Function
            or GogglesSubject.Warnings
            or GogglesSubject.Throttle
            or GogglesSubject.Name => null,
        };
}
