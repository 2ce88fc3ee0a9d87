using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Logic;

/// <summary>A press of a button, told by its length.</summary>
/// <remarks>Without <see cref="Before"/> it holds from <see cref="AtLeast"/> on until the button is let go. With it, it holds for
/// <see cref="PulseLength"/> after the button was let go in time: only then is the length known.</remarks>
public sealed record PressTest : Test
{
    /// <summary>How long a press that was let go in time counts.</summary>
    [Figure(Station.Hands, "A press that was let go in time counts for", ProvenanceKind.OwnAssumption)]
    public static readonly Milliseconds PulseLength = new(200);

    /// <summary>The id of the button.</summary>
    [Description("The id of the button.")]
    [StringLength(32, MinimumLength = 1)]
    public required string Control { get; init; }

    /// <summary>The shortest press that counts.</summary>
    [Description("The shortest press that counts, in milliseconds.")]
    [Range(0, 60000)]
    public Milliseconds AtLeast { get; init; }

    /// <summary>The press must be let go before this; null when it counts as soon as it is long enough.</summary>
    [Description(
        "The button must be let go before this, in milliseconds; without it the press counts while it is held."
    )]
    [Range(0, 60000)]
    public Milliseconds? Before { get; init; }
}
