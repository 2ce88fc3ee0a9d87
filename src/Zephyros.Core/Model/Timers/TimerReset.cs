using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model.Timers;

/// <summary>What lets a timer begin anew.</summary>
public sealed record TimerReset
{
    /// <summary>The id of the condition: as it begins to hold, the timer begins anew, once.</summary>
    [Description("The id of the condition: as it begins to hold the timer begins anew, once.")]
    [StringLength(80, MinimumLength = 1)]
    public required string When { get; init; }

    /// <summary>True when the lowest and highest readings begin anew with it.</summary>
    [Description("True when the lowest and highest readings begin anew with it.")]
    public bool Readings { get; init; }

    /// <summary>False while the reset is not enabled: the timer then goes on from flight to flight.</summary>
    [Description("False while the reset is not enabled: the timer then goes on from flight to flight.")]
    public bool Enabled { get; init; } = true;
}
