using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>What the board knows of the world besides the frames. The default value is a level craft that nobody has connected.</summary>
/// <param name="Tilt">How far the craft is tilted, 0 to 180 degrees.</param>
/// <param name="Connected">True while the board is connected for configuration.</param>
/// <param name="Unlocked">True when arming while connected was unlocked on purpose.</param>
/// <param name="Fix">True while the board knows where it is; indoors, or without a position receiver, it does not.</param>
public readonly record struct Surroundings(Degrees Tilt, bool Connected, bool Unlocked, bool Fix = false);
