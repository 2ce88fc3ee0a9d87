using Zephyros.Core.Bench;

namespace Zephyros.Web.Contracts;

/// <summary>One message of the live bench.</summary>
/// <param name="Revision">The revision of the setup that is on the bench.</param>
/// <param name="Snapshot">The picture.</param>
public sealed record BenchMessage(int Revision, BenchSnapshot Snapshot);
