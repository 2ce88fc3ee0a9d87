using Zephyros.Core.Path;
using Zephyros.Core.Proof;

namespace Zephyros.Core.Tests.Proof;

public sealed class ScratchTests
{
    [Theory]
    [InlineData("sandpiper")]
    [InlineData("wren")]
    [InlineData("gannet")]
    [InlineData("plain")]
    public void Show(string name)
    {
        var setup = name switch { "sandpiper" => Demo.Sandpiper, "wren" => Demo.Wren, "gannet" => Demo.Gannet, _ => Demo.Plain };
        var prover = new Prover(SignalPlan.Compile(setup), new ProofLimits());
        var text = new System.Text.StringBuilder();
        foreach (var promise in PromiseList.All)
        {
            var watch = System.Diagnostics.Stopwatch.StartNew();
            var v = prover.Prove(promise, null, TestContext.Current.CancellationToken);
            text.AppendLine(System.Globalization.CultureInfo.InvariantCulture, $"{name} {promise.Code} {v.Kind} {v.Reason} states={v.States} tr={v.Transitions} depth={v.Depth} kB={v.Bytes/1024} ms={watch.ElapsedMilliseconds}");
            foreach (var s in v.Path) text.AppendLine("    " + s.Sentence + " -> " + s.Outcome);
        }
        System.IO.File.WriteAllText("/tmp/proof-" + name + ".txt", text.ToString());
    }
}
