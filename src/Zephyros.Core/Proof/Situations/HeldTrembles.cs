using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Situations;

/// <summary>What a board may read of the frames that a receiver goes on sending without radio: a wire that trembles does so then too.</summary>
internal sealed class HeldTrembles
{
    private readonly ProofScope scope;
    private readonly IReadOnlyDictionary<int, Microseconds> presets;
    private readonly (int Channel, ReadPatterns Read)[] wandering;

    /// <summary>Finds the channels that tremble.</summary>
    /// <param name="scope">What matters.</param>
    /// <param name="presets">What the receiver sends on channels that have a preset, by their place from 0, as it gets through.</param>
    public HeldTrembles(ProofScope scope, IReadOnlyDictionary<int, Microseconds> presets)
    {
        (this.scope, this.presets) = (scope, presets);
        wandering =
        [
            .. from atom in scope.Atoms
            where atom.Channel < scope.Carried && scope.Wander(atom.Channel) > 0
            group atom by atom.Channel into channel
            select (channel.Key, new ReadPatterns([.. channel])),
        ];
    }

    /// <summary>The other readings that may come of one that is held, each of them at the next frame.</summary>
    /// <param name="held">The reading.</param>
    /// <param name="linked">True when the receiver has had a frame by radio since it got power.</param>
    public IEnumerable<ulong> Of(ulong held, bool linked)
    {
        IEnumerable<ulong> all = [held];
        foreach (var (channel, read) in wandering)
        {
            var patterns = Patterns(channel, read, held, linked);
            all = all.SelectMany(reading => patterns.Select(p => (reading & ~read.Mask) | p));
        }

        return all.Where(reading => reading != held).Distinct().Order();
    }

    private ulong[] Patterns(int channel, ReadPatterns read, ulong held, bool linked)
    {
        var wander = scope.Wander(channel);
        if (presets.TryGetValue(channel, out var preset) || !linked)
        {
            var sent = presets.ContainsKey(channel) ? preset.Value : Microseconds.Neutral.Value;
            return read.Within(sent - wander, sent + wander);
        }

        // What was held may lie a wander beside what was sent, and tremble to the other side of it.
        return (held & ProofScope.NearEdgeBit) != 0 ? read.Near(held & read.Mask, 2 * wander) : [held & read.Mask];
    }
}
