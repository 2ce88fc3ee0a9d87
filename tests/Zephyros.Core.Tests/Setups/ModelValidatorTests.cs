using System.Collections.Immutable;
using System.Text;
using System.Text.Json.Nodes;
using Zephyros.Core.Findings;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Setups;

/// <summary>Models that cannot be, and models that are odd but must not break anything.</summary>
public sealed class ModelValidatorTests
{
    [Fact]
    public void A_curve_with_a_repeated_x_is_refused_with_its_place()
    {
        var curve = new CurveStep { Order = 1, Points = Points((-100, -100), (20, 0), (20, 5), (100, 100)) };
        var problem = Assert.Single(SetupValidator.Check(OnDial(curve)));
        Assert.Equal("/model/channels/arm/steps/step-0/points", problem.Place[..39]);
        Assert.Contains("20", problem.Reason, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(2)]
    [InlineData(18)]
    public void A_curve_has_3_to_17_points_and_no_more_than_the_transmitter_stores(int count)
    {
        var points = Enumerable.Range(0, count).Select(i => (-100.0 + (i * 5), 0.0)).ToArray();
        Assert.NotEmpty(SetupValidator.Check(OnDial(new CurveStep { Order = 1, Points = Points(points) })));
    }

    [Fact]
    public void A_chain_of_1000_steps_is_refused_and_one_of_64_runs()
    {
        ChainStep[] Many(int count) => [.. Enumerable.Range(0, count).Select(i => new ScaleStep { Order = i })];
        Assert.Equal("/model/channels/arm/steps", Assert.Single(SetupValidator.Check(OnDial(Many(1000)))).Place);
        Assert.Empty(SetupValidator.Check(OnDial(Many(64))));
        Assert.Equal(25, new ModelRig(OnDial(Many(64))).Put("left-dial", 25).Value("arm"), 9);
    }

    [Fact]
    public void A_condition_that_asks_for_itself_through_three_others_is_a_finding_with_the_ring()
    {
        var setup = Demo
            .Plain.WithCondition("a", Holds("b"))
            .WithCondition("b", Not(Holds("c")))
            .WithCondition("c", Any(At("right-shoulder", 2), Holds("d")))
            .WithCondition("d", Latch(Holds("a"), At("right-shoulder", 1)));
        Assert.Empty(SetupValidator.Check(setup));
        var ring = Assert.Single(
            Examination.Of(setup),
            f => f.Key.StartsWith("dependency-cycle", StringComparison.Ordinal)
        );
        Assert.Equal("4 things ask for each other in a ring", ring.Title);
        Assert.Equal("“a” → “b” → “c” → “d” → “a”", ring.What);
        // It is evaluated all the same, and nothing is called impossible in it.
        new ModelRig(setup)
            .Put("right-shoulder", 2)
            .Settle();
        Assert.DoesNotContain(
            Examination.Of(setup),
            f => f.Key.StartsWith("condition-stuck", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void A_channel_that_takes_itself_through_another_is_a_finding()
    {
        var setup = Demo
            .Plain.WithChannel("mode", c => c with { Take = new ChannelSource { Channel = "beeper" } })
            .WithChannel("beeper", c => c with { Take = new ChannelSource { Channel = "mode" } });
        Assert.Contains(Examination.Of(setup), f => f.Key == "dependency-cycle:chain:beeper");
    }

    // What a name may be: anything that can be read, up to 40 letters. What it may not: longer, or invisible control characters.
    [Theory]
    [InlineData("<img src=x onerror=alert(1)>", true)]
    [InlineData("\u202Egnissalg\u202C", true)]
    [InlineData("טיסה", true)]
    [InlineData("a\u0000b", false)]
    [InlineData("", false)]
    public void Names_are_kept_as_they_are_or_refused(string name, bool isName)
    {
        var setup = Demo.Plain.WithChannel("arm", c => c with { Label = name });
        var reading = SetupJson.Read(Encoding.UTF8.GetBytes(CanonicalJson.Write(setup)));
        Assert.Equal(isName, reading.Setup is not null);
        if (isName)
            Assert.Equal(name, reading.Setup!.Model.Channels["arm"].Label);
        else
            Assert.Equal("/model/channels/arm/label", Assert.Single(reading.Problems).Place);
    }

    [Fact]
    public void A_name_that_turns_the_direction_of_text_is_a_finding_and_the_fix_shows_what_it_says()
    {
        var setup = Demo.Plain.WithChannel("arm", c => c with { Label = "\u202Egnissalg\u202C" });
        var finding = Assert.Single(Examination.Of(setup), f => f.Key == "name-does-not-fit:channel:arm");
        Assert.DoesNotContain('\u202E', finding.Title);
        Assert.Equal("gnissalg", finding.Fixes[0].Edit.ApplyTo(setup).Setup!.Model.Channels["arm"].Label);
    }

    [Theory]
    [InlineData("/model/channels/arm/label")]
    [InlineData("/transmitter/controls/left-shoulder/label")]
    [InlineData("/craft/name")]
    public void Names_of_10_000_letters_are_refused_with_their_place(string place)
    {
        var document = JsonNode.Parse(CanonicalJson.Write(Demo.Plain))!;
        var parts = place[1..].Split('/');
        var owner = parts[..^1].Aggregate(document, (node, name) => node[name]!);
        owner[parts[^1]] = new string('n', 10_000);
        var reading = SetupJson.Read(Encoding.UTF8.GetBytes(document.ToJsonString()));
        var problem = Assert.Single(reading.Problems);
        Assert.Equal(place, problem.Place);
        Assert.True(problem.Reason.Length < 300);
    }

    public static TheoryData<string, Func<Setup, Setup>> Broken =>
        new()
        {
            { "/model/channels/arm/take", s => s.WithChannel("arm", c => c with { Take = Hand("nobody") }) },
            {
                "/model/channels/arm/steps/x/with/take",
                s =>
                    s.WithStep(
                        "arm",
                        "x",
                        new AddStep { Order = 1, With = With(new ChannelSource { Channel = "nowhere" }) }
                    )
            },
            {
                "/model/channels/arm/steps/x/when",
                s => s.WithStep("arm", "x", new ScaleStep { Order = 1, When = "never-made" })
            },
            {
                "/model/conditions/q/test/of/0/of/1",
                s => s.WithCondition("q", All(Not(At("right-shoulder", 1), Holds("gone"))))
            },
            { "/model/conditions/q/test", s => s.WithCondition("q", At("left-dial", 1)) },
            { "/model/conditions/q/test", s => s.WithCondition("q", At("right-shoulder", 3)) },
            { "/model/conditions/q/test/of", s => s.WithCondition("q", All()) },
            {
                "/model/overrides/o/channel",
                s =>
                    s.WithCondition("q", At("right-shoulder", 1))
                        .InModel(m =>
                            m with
                            {
                                Overrides = m.Overrides.Add(
                                    "o",
                                    new Override
                                    {
                                        Label = "o",
                                        Channel = "gone",
                                        When = "q",
                                        Value = new(0),
                                    }
                                ),
                            }
                        )
            },
            { "/air/urgentBelow", s => s with { Air = s.Air with { UrgentBelow = new(80) } } },
            { "/model/announcements/x/when", Announcing(a => a with { When = "gone" }) },
            { "/model/timers/x/while", Timing(new() { Label = "x", While = "gone" }) },
            { "/model/timers/x/weight", Timing(new() { Label = "x", Weight = "gone" }) },
            {
                "/model/timers/x/reset/when",
                Timing(
                    new()
                    {
                        Label = "x",
                        Reset = new() { When = "gone" },
                    }
                )
            },
            { "/model/timers/x/calls/0", Timing(new() { Label = "x", Calls = [new(-1)] }) },
            { "/model/timers/x/calls/1", Timing(new() { Label = "x", Calls = [new(1), new(7_200_001)] }) },
            { "/model/raised/gone", s => s.InModel(m => m with { Raised = m.Raised.Add("gone", new(1)) }) },
            { "/model/announcements/x/when", Announcing(a => a with { About = AnnouncementSubject.Other }) },
            { "/model/announcements/x/every", Announcing(a => a with { Every = new(3000) }) },
            { "/model/announcements/x/function", Announcing(a => a with { Function = "beeper" }) },
            {
                "/model/announcements/x/function",
                Announcing(a => a with { About = AnnouncementSubject.Mode, Function = "gone" })
            },
            {
                "/model/states/f/when",
                s =>
                    s.InModel(m =>
                        m with
                        {
                            States = m.States.Add(
                                "f",
                                new FlightState
                                {
                                    Label = "f",
                                    Order = 1,
                                    When = "gone",
                                }
                            ),
                        }
                    )
            },
            {
                "/model/trims/left-shoulder-x",
                s =>
                    s.InModel(m =>
                        m with
                        {
                            Trims = ImmutableDictionary<string, Core.Units.Percent>.Empty.Add(
                                "left-shoulder-x",
                                new(1)
                            ),
                        }
                    )
            },
        };

    private static Func<Setup, Setup> Timing(FlightTimer timer) =>
        s => s.InModel(m => m with { Timers = m.Timers.Add("x", timer) });

    private static Func<Setup, Setup> Announcing(Func<Announcement, Announcement> change) =>
        s =>
            s.InModel(m =>
                m with
                {
                    Announcements = m.Announcements.Add(
                        "x",
                        change(new Announcement { Says = "x", About = AnnouncementSubject.Armed })
                    ),
                }
            );

    [Theory]
    [MemberData(nameof(Broken))]
    public void What_leads_nowhere_is_refused_with_its_place(string place, Func<Setup, Setup> breaks)
    {
        var problems = SetupValidator.Check(breaks(Demo.Plain));
        Assert.Contains(problems, p => p.Place.StartsWith(place, StringComparison.Ordinal));
    }
}
