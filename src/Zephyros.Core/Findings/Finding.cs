using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Something that is wrong with a setup, where it is, why it matters and what would put it right.</summary>
public sealed record Finding
{
    /// <summary>The code of the rule and the thing it is about, such as "arm-band-shared:arm"; unique within a setup.</summary>
    public required string Key { get; init; }

    /// <summary>How much it matters.</summary>
    public required Severity Severity { get; init; }

    /// <summary>Where on the path it shows.</summary>
    public required Station Station { get; init; }

    /// <summary>Where in the document it lies, as a JSON Pointer.</summary>
    public required string Place { get; init; }

    /// <summary>The finding in a few words.</summary>
    public required string Title { get; init; }

    /// <summary>What was found, with its figures.</summary>
    public required string What { get; init; }

    /// <summary>What it does at the bench or in the air.</summary>
    public required string Why { get; init; }

    /// <summary>Where the rule comes from.</summary>
    public required Provenance Provenance { get; init; }

    /// <summary>Ways to put it right; may be empty.</summary>
    public required IReadOnlyList<Fix> Fixes { get; init; }

    /// <summary>True when the pilot may keep it on purpose, with a note.</summary>
    public required bool MayBeJustified { get; init; }

    /// <summary>Why the pilot keeps it; null when it is not justified.</summary>
    public string? Justification { get; init; }
}
