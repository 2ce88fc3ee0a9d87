using Zephyros.Core.ReadyMade;
using Zephyros.Core.Setups;

namespace Zephyros.Web.Contracts;

/// <summary>A ready-made chain as it is offered for a setup.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Title">What it makes.</param>
/// <param name="Purpose">What it is for.</param>
/// <param name="Parameters">What it needs to know, with defaults that fit the setup.</param>
public sealed record ReadyMadeView(string Id, string Title, string Purpose, IReadOnlyList<Parameter> Parameters)
{
    /// <summary>The offer of a chain for a setup.</summary>
    public static ReadyMadeView Of(IReadyMade chain, Setup setup) =>
        new(chain.Id, chain.Title, chain.Purpose, chain.Parameters(setup));
}
