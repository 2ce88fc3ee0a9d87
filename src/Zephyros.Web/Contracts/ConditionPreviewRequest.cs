using Zephyros.Core.Model.Logic;

namespace Zephyros.Web.Contracts;

/// <summary>A condition to look at before it is saved.</summary>
/// <param name="Condition">The condition.</param>
/// <param name="Id">The id of the condition that it replaces; missing for a new one.</param>
public sealed record ConditionPreviewRequest(Condition Condition, string? Id = null);
