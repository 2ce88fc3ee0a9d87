namespace Zephyros.Web.Contracts;

/// <summary>How a proof is to run.</summary>
/// <param name="TwoHands">True to try pairs of controls that change at once too.</param>
public sealed record ProofRunRequest(bool TwoHands);
