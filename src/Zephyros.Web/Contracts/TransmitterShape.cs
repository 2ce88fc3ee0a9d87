using Zephyros.Core.Hands;

namespace Zephyros.Web.Contracts;

/// <summary>A transmitter that a craft can start from.</summary>
/// <param name="Id">Its id: the origin of a blank one, or "craft:" and the id of the setup that it is taken from.</param>
/// <param name="Name">Its name for the pilot.</param>
/// <param name="Transmitter">The transmitter.</param>
public sealed record TransmitterShape(string Id, string Name, Transmitter Transmitter);
