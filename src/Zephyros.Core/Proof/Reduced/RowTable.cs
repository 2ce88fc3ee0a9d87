using Zephyros.Core.Proof.Tables;

namespace Zephyros.Core.Proof.Reduced;

/// <summary>What comes of running a model that has one memory for one cause, word by word, as far as it was worked out.</summary>
internal sealed class RowTable(int memory, RowCause cause, int words, ByteMeter meter)
{
    private const int BytesOfRow = 24;

    private readonly Pages<OutcomeRow[]?> rows = new(words, meter);
    private readonly Dictionary<ModelOutcome, int> numbers = [];

    /// <summary>The number of the memory before.</summary>
    public int Memory => memory;

    /// <summary>Why the model is run.</summary>
    public RowCause Cause => cause;

    /// <summary>What was worked out for a word; null when nothing was.</summary>
    public OutcomeRow[]? Known(int word) => rows.Peek(word);

    /// <summary>Keeps what was worked out for a word: the positions at which each outcome comes about.</summary>
    public OutcomeRow[] Learn(int word, Dictionary<ModelOutcome, ulong> made)
    {
        meter.Bytes += 40 + ((long)BytesOfRow * made.Count);
        return rows.At(word) = [.. made.Select(m => new OutcomeRow(m.Key, Number(m.Key), m.Value))];
    }

    private int Number(ModelOutcome outcome)
    {
        if (!numbers.TryGetValue(outcome, out var number))
            numbers.Add(outcome, number = numbers.Count);
        return number;
    }
}
