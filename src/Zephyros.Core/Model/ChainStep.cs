using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;

namespace Zephyros.Core.Model;

/// <summary>One step of a channel's chain between its source and its output stage.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ScaleStep), "scale")]
public abstract record ChainStep
{
    /// <summary>Where the step stands: steps run in ascending order. A step put between two others takes the middle of their orders.</summary>
    [Description("Steps run in ascending order; a step put between two others takes the middle of their orders.")]
    [Range(-1e6, 1e6)]
    public required double Order { get; init; }
}
