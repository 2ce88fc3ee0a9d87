using System.Text.Json.Serialization;

namespace Zephyros.Core.Model.Logic;

/// <summary>What a condition asks: a tree of and, or and not over comparisons, with latches, delays and presses.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(PositionTest), "position")]
[JsonDerivedType(typeof(CompareTest), "compare")]
[JsonDerivedType(typeof(SensorTest), "sensor")]
[JsonDerivedType(typeof(TelemetryLostTest), "telemetry-lost")]
[JsonDerivedType(typeof(AllTest), "all")]
[JsonDerivedType(typeof(AnyTest), "any")]
[JsonDerivedType(typeof(NotTest), "not")]
[JsonDerivedType(typeof(HoldsTest), "holds")]
[JsonDerivedType(typeof(StateTest), "state")]
[JsonDerivedType(typeof(LatchTest), "latch")]
[JsonDerivedType(typeof(DelayTest), "delay")]
[JsonDerivedType(typeof(PressTest), "press")]
public abstract record Test
{
    /// <summary>The tests inside this one, under the members that hold them.</summary>
    [JsonIgnore]
    public virtual IReadOnlyList<(string Member, IReadOnlyList<Test> Parts)> Groups => [];

    /// <summary>The tests inside this one.</summary>
    [JsonIgnore]
    public IReadOnlyList<Test> Parts => [.. Groups.SelectMany(g => g.Parts)];
}
