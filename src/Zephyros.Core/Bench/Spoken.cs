using Zephyros.Core.Model.Speech;

namespace Zephyros.Core.Bench;

/// <summary>What the transmitter begins to speak.</summary>
/// <param name="Text">The words.</param>
/// <param name="Tone">The tone before them; null when there is none.</param>
/// <param name="CutsIn">True when it ends what was just being spoken.</param>
internal sealed record Spoken(string Text, ToneSweep? Tone, bool CutsIn);
