namespace Zephyros.Core.Flights.Table;

/// <summary>A place in the file that cannot be read as it stands.</summary>
/// <param name="Line">The line, counted from 1.</param>
/// <param name="Reason">What is wrong there, and what was done.</param>
public sealed record FlightDamage(int Line, string Reason);
