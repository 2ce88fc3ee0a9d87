using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Controls;

/// <summary>What each position of a control makes of one channel: a row of the board station's table.</summary>
/// <param name="Control">The id of the control.</param>
/// <param name="Name">Its name.</param>
/// <param name="Channel">The channel that it feeds.</param>
/// <param name="Cells">One cell for each position, the safe end first.</param>
public sealed record ControlRow(string Control, string Name, ChannelNumber Channel, IReadOnlyList<PositionCell> Cells);
