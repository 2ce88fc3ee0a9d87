namespace Zephyros.Mutants;

/// <summary>What a slip replaces.</summary>
internal enum SlipKind
{
    /// <summary>An expression: both ways stand side by side, and a switch chooses.</summary>
    Expression,

    /// <summary>A statement, which is left out.</summary>
    Statement,
}
