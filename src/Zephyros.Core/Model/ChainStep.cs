using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;

namespace Zephyros.Core.Model;

/// <summary>One step of a channel's chain between its source and its output stage.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ScaleStep), "scale")]
[JsonDerivedType(typeof(CurveStep), "curve")]
[JsonDerivedType(typeof(AddStep), "add")]
[JsonDerivedType(typeof(MultiplyStep), "multiply")]
[JsonDerivedType(typeof(SwitchOverStep), "switch-over")]
[JsonDerivedType(typeof(SlowStep), "slow")]
[JsonDerivedType(typeof(LimitStep), "limit")]
[JsonDerivedType(typeof(StateStep), "state")]
public abstract record ChainStep
{
    /// <summary>Where the step stands: steps run in ascending order. A step put between two others takes the middle of their orders.</summary>
    [Description("Steps run in ascending order; a step put between two others takes the middle of their orders.")]
    [Range(-1e6, 1e6)]
    public required double Order { get; init; }

    /// <summary>True while the step is switched off: the value passes it unchanged.</summary>
    [Description("True while the step is switched off: the value passes it unchanged.")]
    public bool Off { get; init; }

    /// <summary>The condition under which the step works; always when there is none. The value passes unchanged otherwise.</summary>
    [Description("The id of the condition under which the step works; without one it always does.")]
    [StringLength(80, MinimumLength = 1)]
    public string? When { get; init; }
}
