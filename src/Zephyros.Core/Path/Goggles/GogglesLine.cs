using Zephyros.Core.Goggles;
using Zephyros.Core.Return;

namespace Zephyros.Core.Path.Goggles;

/// <summary>An item in the goggles, with where its figure comes from.</summary>
/// <param name="Id">The id of the item.</param>
/// <param name="Item">The item.</param>
/// <param name="Words">What it shows, in words.</param>
/// <param name="Source">What measures it, in words.</param>
/// <param name="Obstacle">Why it stays empty; null when it does not.</param>
public sealed record GogglesLine(string Id, GogglesItem Item, string Words, string Source, ReturnObstacle? Obstacle);
