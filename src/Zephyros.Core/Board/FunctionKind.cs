namespace Zephyros.Core.Board;

/// <summary>What a board function does.</summary>
public enum FunctionKind
{
    /// <summary>Arms the motors.</summary>
    Arm,
}
