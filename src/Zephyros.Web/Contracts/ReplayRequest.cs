using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Flights;
using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>What is to be run over recorded flights.</summary>
/// <param name="Flights">The ids of the flights.</param>
/// <param name="Way">Where they were recorded.</param>
/// <param name="Alarm">The id of the alarm that is judged; null for the first.</param>
/// <param name="Critical">The reading at which it must have warned; null for the usual.</param>
/// <param name="Settle">The time within which one that is withdrawn was false; null for the usual.</param>
/// <param name="Lead">What it must leave before the critical moment; null for the usual.</param>
public sealed record ReplayRequest(
    IReadOnlyList<string> Flights,
    HearingWay Way,
    string? Alarm,
    [property: Range(-Sensor.Furthest, Sensor.Furthest)] Reading? Critical,
    [property: Range(0, 600000)] Milliseconds? Settle,
    [property: Range(0, 3600000)] Milliseconds? Lead
);
