using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Loss.Presets;

/// <summary>The presets that a receiver should send after a loss of the signal.</summary>
/// <param name="Rows">Those that could be found, by channel.</param>
/// <param name="Problems">What no preset can do, in sentences; none when the craft is disarmed and low with them.</param>
/// <param name="Edit">Writes them down; null while there is a problem, or when they are.</param>
/// <param name="ArmsAgain">True when a craft that stands at idle starts its motors by itself as the signal comes back: its board has seen the
/// arm switch off, in the presets, and the pilot has not moved it.</param>
public sealed record PresetAnswer(
    IReadOnlyList<PresetRow> Rows,
    IReadOnlyList<string> Problems,
    SetupEdit? Edit,
    bool ArmsAgain
);
