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
