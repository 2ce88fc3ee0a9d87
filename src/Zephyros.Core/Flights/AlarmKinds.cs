using Zephyros.Core.Flights.Table;
using Zephyros.Core.Model;

namespace Zephyros.Core.Flights;

/// <summary>What is known of the kinds of alarms.</summary>
internal static class AlarmKinds
{
    /// <summary>The kind of an alarm that looks at a sensor; null where a fall of its reading warns of nothing.</summary>
    public static AlarmKind? Of(Sensor sensor) =>
        sensor.MeasuredBy != sensor.Measures.UsualOrigin()
            ? null
            : sensor.Measures switch
            {
                SensorSubject.Voltage => AlarmKind.Battery,
                SensorSubject.LinkQuality => AlarmKind.LinkQuality,
                SensorSubject.DownLinkQuality => AlarmKind.DownLinkQuality,
                SensorSubject.Strength => AlarmKind.Strength,
                SensorSubject.Other
                or SensorSubject.Current
                or SensorSubject.ChargeUsed
                or SensorSubject.Height
                or SensorSubject.Distance
                or SensorSubject.Satellites => null,
            };

    /// <summary>The column of a recorded flight that it looks at; a battery may have another one.</summary>
    public static ColumnMeaning Column(this AlarmKind kind) =>
        kind switch
        {
            AlarmKind.Battery => ColumnMeaning.Voltage,
            AlarmKind.LinkQuality => ColumnMeaning.LinkQuality,
            AlarmKind.DownLinkQuality => ColumnMeaning.DownLinkQuality,
            AlarmKind.Strength => ColumnMeaning.Strength,
        };
}
