namespace Zephyros.Core.Proof;

/// <summary>A proof has taken as long as it may.</summary>
internal sealed class ProofTimeUpException : Exception;
