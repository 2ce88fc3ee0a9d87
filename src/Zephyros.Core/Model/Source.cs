using System.Text.Json.Serialization;

namespace Zephyros.Core.Model;

/// <summary>Where a value is taken from.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ControlSource), "control")]
[JsonDerivedType(typeof(ChannelSource), "channel")]
[JsonDerivedType(typeof(ConditionSource), "condition")]
[JsonDerivedType(typeof(SensorSource), "sensor")]
[JsonDerivedType(typeof(ConstantSource), "constant")]
public abstract record Source;
