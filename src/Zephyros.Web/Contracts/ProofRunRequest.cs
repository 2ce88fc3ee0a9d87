namespace Zephyros.Web.Contracts;

/// <summary>How a proof is to run.</summary>
/// <param name="TwoHands">True to try pairs of controls that change at once too.</param>
/// <param name="Seconds">How long each promise may take, 1 to 3600 seconds.</param>
public sealed record ProofRunRequest(
    bool TwoHands,
    [property: System.ComponentModel.DataAnnotations.Range(1, 3600)] int Seconds = ProofRunRequest.UsualSeconds
)
{
    /// <summary>What a promise may take when nothing is said: two minutes.</summary>
    public const int UsualSeconds = 120;
}
