using System.Text.Json.Serialization;

namespace Zephyros.Core.Model;

/// <summary>Where a channel's chain takes its value.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ControlSource), "control")]
public abstract record Source;
