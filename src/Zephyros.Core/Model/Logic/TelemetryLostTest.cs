namespace Zephyros.Core.Model.Logic;

/// <summary>No telemetry arrives.</summary>
public sealed record TelemetryLostTest : Test;
