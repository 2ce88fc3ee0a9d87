namespace Zephyros.Core.Model.Running;

/// <summary>One operation of a compiled model; what A, B, C, P and Q mean stands beside each <see cref="OpCode"/>.</summary>
internal readonly record struct Op(OpCode Code, int A = 0, int B = 0, int C = 0, double P = 0, double Q = 0)
{
    /// <summary>The register of the condition under which the operation works, or -1 when it always does.</summary>
    public int When { get; init; } = -1;
}
