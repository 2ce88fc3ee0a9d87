using System.Globalization;

namespace Zephyros.Core.Tests.Reference;

/// <summary>What a searcher can do to a bench.</summary>
internal enum BenchActKind
{
    Hand,
    Power,
    Link,
    Transmitter,
    Turn,
    Cable,
    Fix,
    Telemetry,
    Sensor,
    Wait,
    ReadyToArm,
}

/// <summary>One thing done to a bench.</summary>
internal readonly record struct BenchAct(BenchActKind Kind, string Id = "", double Value = 0)
{
    public override string ToString() => $"{Kind} {Id} {Value.ToString("0.##", CultureInfo.InvariantCulture)}".Trim();
}
