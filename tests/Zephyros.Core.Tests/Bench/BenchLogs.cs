using Zephyros.Core.Bench;

namespace Zephyros.Core.Tests.Bench;

/// <summary>What a bench said and noted last.</summary>
internal static class BenchLogs
{
    public static LogEntry? Said(this BenchRun bench) => bench.Log.After(0).LastOrDefault(e => e.Kind == LogKind.Said);

    public static LogEntry? Noted(this BenchRun bench) => bench.Log.After(0).LastOrDefault(e => e.Kind != LogKind.Said);
}
