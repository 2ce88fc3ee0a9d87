namespace Zephyros.Core.Units;

/// <summary>Where a figure or a rule comes from.</summary>
/// <param name="Kind">How well it is founded.</param>
/// <param name="Source">The published standard or table; empty for every other kind.</param>
/// <param name="Place">Its edition and the clause; empty where they do not matter or are not known.</param>
/// <param name="Note">What it says, as far as that matters here: the rest of a sentence, without its full stop; may be empty.</param>
public sealed record Provenance(ProvenanceKind Kind, string Source = "", string Place = "", string Note = "")
{
    /// <summary>From a published standard or table.</summary>
    public static Provenance Published(string source, string place = "", string note = "") =>
        new(ProvenanceKind.Published, source, place, note);

    /// <summary>Worked out; the note says how.</summary>
    public static Provenance Computed(string note) => new(ProvenanceKind.Computed, Note: note);

    /// <summary>The trade does it so.</summary>
    public static Provenance Practice(string note = "") => new(ProvenanceKind.CommonPractice, Note: note);

    /// <summary>Remembered, not looked up.</summary>
    public static Provenance Memory(string note = "") => new(ProvenanceKind.FromMemory, Note: note);

    /// <summary>Assumed by Zephyros.</summary>
    public static Provenance Own(string note = "") => new(ProvenanceKind.OwnAssumption, Note: note);

    /// <summary>The kind in words, such as "common practice, no source".</summary>
    public string Founded =>
        Kind switch
        {
            ProvenanceKind.Published => Place.Length > 0 ? $"{Source}, {Place}" : Source,
            ProvenanceKind.Computed => "worked out",
            ProvenanceKind.CommonPractice => "common practice, no source",
            ProvenanceKind.FromMemory => "from memory",
            ProvenanceKind.OwnAssumption => "our own assumption",
        };

    /// <summary>One or two sentences.</summary>
    public string Words => char.ToUpperInvariant(Founded[0]) + Founded[1..] + (Note.Length > 0 ? $": {Note}." : ".");

    /// <inheritdoc />
    public override string ToString() => Words;
}
