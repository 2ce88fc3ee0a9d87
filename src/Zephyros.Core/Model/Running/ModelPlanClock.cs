namespace Zephyros.Core.Model.Running;

/// <summary>The one number that stands for "all time has passed".</summary>
internal static class ModelPlanClock
{
    /// <summary>So many milliseconds and more let everything that is under way come to its end.</summary>
    public const double Settling = 1e12;
}
