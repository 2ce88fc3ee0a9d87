using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Speech;

/// <summary>How a tone sounds.</summary>
/// <param name="From">The pitch that it begins with.</param>
/// <param name="To">The pitch that it ends with; between the two it goes evenly.</param>
/// <param name="Length">How long it lasts.</param>
public sealed record ToneSweep(Hertz From, Hertz To, Milliseconds Length)
{
    [Figure(Station.Return, "A low tone has", ProvenanceKind.OwnAssumption)]
    private static readonly Hertz LowPitch = new(440);

    [Figure(Station.Return, "A high tone has", ProvenanceKind.OwnAssumption)]
    private static readonly Hertz HighPitch = new(1320);

    [Figure(Station.Return, "A tone before an announcement lasts", ProvenanceKind.OwnAssumption)]
    private static readonly Milliseconds UsualLength = new(250);

    /// <summary>How a tone sounds.</summary>
    public static ToneSweep Of(Tone tone) =>
        tone switch
        {
            Tone.Low => new(LowPitch, LowPitch, UsualLength),
            Tone.High => new(HighPitch, HighPitch, UsualLength),
            Tone.Rising => new(LowPitch, HighPitch, UsualLength),
            Tone.Falling => new(HighPitch, LowPitch, UsualLength),
        };
}
