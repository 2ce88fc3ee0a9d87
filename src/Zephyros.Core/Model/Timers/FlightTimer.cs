using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Timers;

/// <summary>A timer of the transmitter: it counts while a condition holds, calls out times, and begins anew when it is reset.</summary>
/// <remarks>Both schools of the trade are conditions: one that is set once the throttle was raised and lasts until disarming counts the time
/// in the air; one that also asks for a raised throttle counts the time under load.</remarks>
public sealed record FlightTimer
{
    /// <summary>What it measures, in the pilot's words; calls begin with it.</summary>
    [Description("What it measures, in the pilot's words; calls begin with it.")]
    [StringLength(30, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>The id of the condition while which it counts; null when nothing starts it.</summary>
    [Description("The id of the condition while which it counts; without one nothing starts it.")]
    [StringLength(80, MinimumLength = 1)]
    public string? While { get; init; }

    /// <summary>The id of the control that weights it: at its highest a second counts whole, at its lowest not at all; null for whole seconds.</summary>
    [Description(
        "The id of a control that weights it: at its highest a second counts whole, at its lowest not at all; without one every second does."
    )]
    [StringLength(32, MinimumLength = 1)]
    public string? Weight { get; init; }

    /// <summary>It counts down from here, and on below 0; null for one that counts up.</summary>
    [Description("It counts down from here, and on below 0; without it, up from 0.")]
    [Range(1000, 7_200_000)]
    public Milliseconds? From { get; init; }

    /// <summary>What is called out as it comes by: what is left of one that counts down, what has passed of one that counts up.</summary>
    [Description(
        "The times that are called out as they come by: what is left of a timer that counts down, what has passed of one that counts up."
    )]
    public ImmutableArray<Milliseconds> Calls { get; init; } = [];

    /// <summary>What resets it; null when nothing does.</summary>
    [Description("What resets it; without it nothing does.")]
    public TimerReset? Reset { get; init; }

    /// <summary>What it shows when so much was counted: what is left, or what has passed.</summary>
    public Milliseconds Shows(TimeSpan counted) =>
        new((From?.Value ?? 0) + (From is null ? counted : -counted).TotalMilliseconds);

    /// <summary>How much must be counted until it shows a time; negative for what it never shows.</summary>
    public TimeSpan CountAt(Milliseconds shown) =>
        From is { } from ? from.ToTimeSpan() - shown.ToTimeSpan() : shown.ToTimeSpan();
}
