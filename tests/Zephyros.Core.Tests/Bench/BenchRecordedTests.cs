using System.Text.Json.Nodes;
using Zephyros.Core.Bench;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>Pictures of the bench of each demo craft at certain moments of one story, member by member.</summary>
public sealed class BenchRecordedTests
{
    private static readonly (double At, string Does, Action<BenchRun> Do)[] Story =
    [
        (100, "nothing yet", _ => { }),
        (400, "the throttle goes up a little", b => b.Move("throttle", -40)),
        (800, "the throttle goes down", b => b.Move("throttle", -100)),
        (1200, "the left shoulder goes to far", b => b.Move("left-shoulder", 2)),
        (
            2500,
            "throttle and roll",
            b =>
            {
                b.Move("throttle", 10);
                b.Move("roll", 35);
            }
        ),
        (
            3000,
            "another switch, and the dial",
            b =>
            {
                b.Move("right-front-inner", 3);
                b.Move("left-dial", 20);
            }
        ),
        (3500, "far away", b => b.SetDistance(new Kilometres(2))),
        (5000, "the link is lost", b => b.SetLink(false)),
        (
            7000,
            "it comes back, and the craft lies on its side",
            b =>
            {
                b.SetLink(true);
                b.Surround(new(new(90), false, false, true));
            }
        ),
        (
            9000,
            "the transmitter restarts",
            b =>
            {
                b.SetTransmitter(false);
                b.SetTransmitter(true);
            }
        ),
        (12_000, "the shoulder goes back", b => b.Move("left-shoulder", 1)),
        (12_500, "the battery comes off", b => b.SetPower(false)),
    ];

    [Fact]
    public void Pictures_show_what_they_showed() =>
        Recorded.AssertSame("bench", Demo.Names.Select(n => n.Data).Order(StringComparer.Ordinal).SelectMany(Pictures));

    private static IEnumerable<string> Pictures(string name)
    {
        // In free space, where each of them is still heard at that distance.
        var bench = new BenchRun(Demo.Load(name).WithAir(a => a with { Allowance = null }));
        var before = new Dictionary<string, string>(StringComparer.Ordinal) { ["log"] = "[]" };
        foreach (var (at, does, act) in Story)
        {
            var known = bench.Log.Count;
            bench.AdvanceTo(TimeSpan.FromMilliseconds(at));
            act(bench);
            bench.AdvanceTo(TimeSpan.FromMilliseconds(at + 250));
            yield return $"# {name}, {at} ms: {does}";
            var picture = JsonNode.Parse(Recorded.Told(bench.Snapshot("throttle", known)))!.AsObject();
            // Only what is another than in the picture before.
            foreach (var (member, value) in picture)
                if (CanonicalJson.Write(value) is var told && before.GetValueOrDefault(member) != told)
                    yield return $"  {member} {before[member] = told}";
            yield return $"  compared {Recorded.Told(bench.Comparison())}";
        }
    }
}
