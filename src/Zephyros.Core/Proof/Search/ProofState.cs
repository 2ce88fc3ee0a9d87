namespace Zephyros.Core.Proof.Search;

/// <summary>One state: the position of the inputs as word and bit, the memory, the situation.</summary>
internal readonly record struct ProofState(int Word, int Bit, int Memory, int Situation);
