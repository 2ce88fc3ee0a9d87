using System.Globalization;

namespace Zephyros.Core.Tests.Reference;

/// <summary>One thing done to a bench.</summary>
internal readonly record struct BenchAct(BenchActKind Kind, string Id = "", double Value = 0)
{
    public override string ToString() => $"{Kind} {Id} {Value.ToString("0.##", CultureInfo.InvariantCulture)}".Trim();
}
