using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>Something that the transmitter says aloud when a condition begins to hold, or when the board reports it.</summary>
/// <remarks>Said by a switch it may be wrong, because the board may refuse; said by a latch it is truer; only the board's own report is
/// true.</remarks>
public sealed record Announcement
{
    /// <summary>So many characters its words may have.</summary>
    public const int LongestWords = 40;

    /// <summary>What is said.</summary>
    [Description("What is said.")]
    [StringLength(LongestWords, MinimumLength = 1)]
    public required string Says { get; init; }

    /// <summary>The tone that is heard before the words; null when there is none.</summary>
    [Description("The tone that is heard before the words; without one there is none.")]
    public Tone? Tone { get; init; }

    /// <summary>The reading that is spoken after it; null when the words are all.</summary>
    [Description("The reading that is spoken after the words; without one the words are all.")]
    public SpokenValue? Value { get; init; }

    /// <summary>The id of the timer whose time is spoken after the words; null when none is, or a reading.</summary>
    [Description("The id of the timer whose time is spoken after the words, instead of a reading.")]
    [StringLength(80, MinimumLength = 1)]
    public string? Timer { get; init; }

    /// <summary>What that tells the pilot.</summary>
    [Description("What that tells the pilot; the proof holds the announcement to it.")]
    public required AnnouncementSubject About { get; init; }

    /// <summary>For <see cref="AnnouncementSubject.Mode"/>: the id of the board function that flies then; null for rate flight, when none is on.</summary>
    [Description("For a mode: the id of the board function that flies then; without one, rate flight.")]
    [StringLength(80, MinimumLength = 1)]
    public string? Function { get; init; }

    /// <summary>The id of the condition that sets it off; null when the board's own report by telemetry does.</summary>
    [Description("The id of the condition that sets it off; without one, the board's own report by telemetry does.")]
    [StringLength(80, MinimumLength = 1)]
    public string? When { get; init; }

    /// <summary>It is said again after this time while the condition holds; null when it is said once. Practice: 2 s for an alarm, 15 to
    /// 60 s for a reminder.</summary>
    [Description("It is said again after this time while the condition holds; without one it is said once.")]
    [Range(1000, 120000)]
    public Milliseconds? Every { get; init; }

    /// <summary>False while the announcement is not enabled: it then says nothing.</summary>
    [Description("False while the announcement is not enabled: it then says nothing.")]
    public bool Enabled { get; init; } = true;
}
