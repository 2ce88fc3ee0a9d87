namespace Zephyros.Web.Contracts;

/// <summary>The proof of a setup as far as it has come.</summary>
/// <param name="Revision">The revision that is proven.</param>
/// <param name="Running">True while it runs.</param>
/// <param name="Cancelled">True when it was cancelled.</param>
/// <param name="TwoHands">True when pairs of controls that change at once are tried too.</param>
/// <param name="Seconds">How long each promise may take.</param>
/// <param name="Found">While a promise is being proven: how many states were found for it.</param>
/// <param name="Estimate">While a promise is being proven: how many there may be at most, about.</param>
/// <param name="Promises">The promises in their order.</param>
public sealed record ProofView(
    int Revision,
    bool Running,
    bool Cancelled,
    bool TwoHands,
    int Seconds,
    long Found,
    double Estimate,
    IReadOnlyList<PromiseView> Promises
);
