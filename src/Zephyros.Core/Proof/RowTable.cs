namespace Zephyros.Core.Proof;

/// <summary>What comes of running a model that has one memory for one cause, as far as it was worked out: by word, and by outcome.</summary>
internal sealed class RowTable(int memory, RowCause cause, int words, ByteMeter meter)
{
    private const int BytesOfRow = 36;

    private readonly Pages<OutcomeRow[]?> rows = new(words, meter);
    private readonly Dictionary<ModelOutcome, int> places = [];
    private readonly List<OutcomePlaces> outcomes = [];

    /// <summary>The number of the memory before.</summary>
    public int Memory => memory;

    /// <summary>Why the model is run.</summary>
    public RowCause Cause => cause;

    /// <summary>For how many words it was worked out.</summary>
    public int Count { get; private set; }

    /// <summary>What was worked out for a word; null when nothing was.</summary>
    public OutcomeRow[]? Known(int word) => rows.Peek(word);

    /// <summary>Every outcome, and where it comes about among the words that were worked out.</summary>
    public IReadOnlyList<OutcomePlaces> Outcomes => outcomes;

    /// <summary>Keeps what was worked out for a word.</summary>
    public OutcomeRow[] Learn(int word, OutcomeRow[] made)
    {
        meter.Bytes += 40 + ((long)BytesOfRow * made.Length);
        Count++;
        foreach (var (outcome, positions) in made)
        {
            if (!places.TryGetValue(outcome, out var place))
            {
                places.Add(outcome, place = outcomes.Count);
                outcomes.Add(new OutcomePlaces(outcome));
            }

            outcomes[place].Add(word, positions);
        }

        return rows.At(word) = made;
    }
}
