using Zephyros.Core.Bench;
using Zephyros.Core.Flights.Trial;

namespace Zephyros.Web.Contracts;

/// <summary>One message of the live bench.</summary>
/// <param name="Revision">The revision of the setup that is on the bench.</param>
/// <param name="Snapshot">The picture.</param>
/// <param name="Test">The last test of an alarm; null when there was none.</param>
public sealed record BenchMessage(int Revision, BenchSnapshot Snapshot, AlarmTestPicture? Test = null);
