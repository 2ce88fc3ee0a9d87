using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Setups;

/// <summary>How many there may be of each kind: that many are accepted, one more is refused where it is.</summary>
public sealed class CountLimitTests
{
    private static readonly Dictionary<string, (int Most, string Place, Func<int, Setup> With)> Limits = new(
        StringComparer.Ordinal
    )
    {
        ["controls"] = (
            64,
            "/transmitter/controls",
            n =>
                Demo.Plain with
                {
                    Transmitter = Demo.Plain.Transmitter with
                    {
                        Controls = Filled(
                            Demo.Plain.Transmitter.Controls,
                            n,
                            Demo.Plain.Transmitter.Controls["left-dial"]
                        ),
                    },
                }
        ),
        ["conditions"] = (
            100,
            "/model/conditions",
            n =>
                Demo.Plain.InModel(m =>
                    m with
                    {
                        Conditions = Filled(m.Conditions, n, new() { Label = "x", Test = At("left-shoulder", 2) }),
                    }
                )
        ),
        ["overrides"] = (
            100,
            "/model/overrides",
            n =>
                Demo.Plain.InModel(m =>
                    m with
                    {
                        Conditions = Filled(m.Conditions, 1, new() { Label = "x", Test = At("left-shoulder", 2) }),
                        Overrides = Filled(
                            m.Overrides,
                            n,
                            new()
                            {
                                Label = "x",
                                Channel = "yaw",
                                When = "more-1",
                                Value = new(1),
                            }
                        ),
                    }
                )
        ),
        ["announcements"] = (
            100,
            "/model/announcements",
            n =>
                Demo.Clean.InModel(m =>
                    m with
                    {
                        Announcements = Filled(m.Announcements, n, m.Announcements.First().Value),
                    }
                )
        ),
        ["states"] = (
            100,
            "/model/states",
            n => Demo.Plain.InModel(m => m with { States = Filled(m.States, n, new() { Label = "x", Order = 1 }) })
        ),
        ["sensors"] = (
            100,
            "/model/sensors",
            n =>
                Demo.Plain.InModel(m =>
                    m with
                    {
                        Sensors = Filled(m.Sensors, n, Demo.Sandpiper.Model.Sensors["distance"]),
                    }
                )
        ),
        ["timers"] = (
            100,
            "/model/timers",
            n => Demo.Plain.InModel(m => m with { Timers = Filled(m.Timers, n, new() { Label = "x" }) })
        ),
        ["calls of a timer"] = (
            20,
            "/model/timers/x/calls",
            n =>
                Demo.Plain.InModel(m =>
                    m with
                    {
                        Timers = m.Timers.Add(
                            "x",
                            new() { Label = "x", Calls = [.. Enumerable.Range(1, n).Select(s => new Milliseconds(s))] }
                        ),
                    }
                )
        ),
        ["items in the goggles"] = (
            100,
            "/goggles/items",
            n =>
                Demo.Sandpiper with
                {
                    Goggles = new()
                    {
                        Items = Filled(Demo.Sandpiper.Goggles!.Items, n, Demo.Sandpiper.Goggles.Items["pack"]),
                    },
                }
        ),
        ["steps of a chain"] = (
            64,
            "/model/channels/yaw/steps",
            n => Demo.Plain.WithChannel("yaw", c => c with { Steps = Filled(c.Steps, n, new ScaleStep { Order = 1 }) })
        ),
        ["functions"] = (48, "/board/functions", n => Functions(n)),
    };

    public static TheoryData<string> Kinds => [.. Limits.Keys];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void So_many_are_accepted_and_one_more_is_refused(string kind)
    {
        var (most, place, with) = Limits[kind];
        Assert.Empty(SetupValidator.Check(with(most)).Select(p => $"{p.Place} {p.Reason}"));
        var problem = Assert.Single(SetupValidator.Check(with(most + 1)));
        Assert.Equal(place, problem.Place);
        Assert.Contains($"{most + 1}", problem.Reason, StringComparison.Ordinal);
    }

    [Fact]
    public void A_condition_may_hold_a_hundred_tests_and_a_document_nests_32_deep()
    {
        static Setup Tests(int n) =>
            Demo.Plain.WithCondition("many", All([.. Enumerable.Repeat(At("left-shoulder", 2), n - 1)]));
        Assert.Empty(SetupValidator.Check(Tests(100)));
        Assert.Equal("/model/conditions/many/test", Assert.Single(SetupValidator.Check(Tests(101))).Place);
    }

    [Fact]
    public void A_profile_may_have_twenty_modes_and_thirty_steps_to_bind()
    {
        var mode = LinkProfiles.BuiltIn[0].Modes[0];
        var profile = new LinkProfile
        {
            Id = "own",
            Name = "Own",
            Summary = "",
            Frequency = new(868),
            Modes = [.. Enumerable.Repeat(mode, 20)],
            Bind = [.. Enumerable.Repeat(new BindStep { Do = "Wait." }, 30)],
        };
        Assert.Empty(LinkProfileCheck.Of(profile));
    }

    // Each function has a bit of its own, the last one too, and none of them is taken for an announcement.
    [Fact]
    public void Every_one_of_48_functions_is_seen_for_itself()
    {
        var plan = SignalPlan.Compile(Functions(48));
        var far = plan.Board.View(plan.With("left-front-inner", 3).Received);
        var near = plan.Board.View(plan.With("left-front-inner", 1).Received);
        var bits = plan.Board.Functions.Select((_, i) => 1UL << (BoardView.FirstFunction + i)).ToArray();
        Assert.All(
            plan.Board.Functions.Zip(bits).Where(f => f.First.Key.StartsWith("more-", StringComparison.Ordinal)),
            f => Assert.Equal((true, false), (far.Has(f.Second), near.Has(f.Second)))
        );
        Assert.Equal(1UL << 55, bits[^1]);
        var verdict = new Prover(plan, Patient).Prove(
            PromiseList.All.Single(p => p.Code == "functions-reachable"),
            null,
            TestContext.Current.CancellationToken
        );
        Assert.Equal((VerdictKind.Proven, ""), (verdict.Kind, verdict.Path.Count > 0 ? verdict.Path[^1].Sentence : ""));
    }

    private static Setup Functions(int count) =>
        Demo.Plain.WithBoard(b => b with { Functions = Filled(b.Functions, count, b.Functions["beeper"]) });

    private static ImmutableDictionary<string, T> Filled<T>(ImmutableDictionary<string, T> map, int count, T with) =>
        Enumerable.Range(1, Math.Max(0, count - map.Count)).Aggregate(map, (m, i) => m.Add($"more-{i}", with));
}
