using System.Collections.Immutable;
using CsCheck;
using Zephyros.Core.Bench;
using Zephyros.Core.Edits;
using Zephyros.Core.Findings;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Tests.Findings;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>What is spoken when, while speech takes its time, against a plain list that is looked through each millisecond.</summary>
public sealed class VoiceTests
{
    private const int Word = 300;

    // By id, as the announcements of a model are asked: what each says, how urgent that is, and how often it is said again.
    private static readonly (string Says, SpeechRank Rank, int? Every)[] Things =
    [
        ("Alarm one of the battery", SpeechRank.Alarm, 2000),
        ("Alarm two", SpeechRank.Alarm, null),
        ("Notice of something that is long", SpeechRank.Notice, null),
        ("Notice", SpeechRank.Notice, 1000),
        ("Value", SpeechRank.Value, 4000),
        ("Value two", SpeechRank.Value, null),
    ];

    private static readonly string[] Switches = ["left-back-switch", "right-front-outer", "right-front-inner", "extra"];

    [Fact]
    public void A_plain_list_says_the_same_at_the_same_times()
    {
        var (spoken, cut) = (0, 0);
        Gen.Select(Gen.Int[1, 2500], Gen.Int[0, Things.Length - 1])
            .Array[10, 60]
            .Sample(
                moves =>
                {
                    var bench = new BenchRun(Ground());
                    bench.Report("spoken", new Reading(5));
                    var log = new List<LogEntry>();
                    var holds = new bool[Things.Length];
                    var oracle = new PlainVoice();
                    foreach (var (wait, thing) in moves)
                    {
                        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(wait));
                        oracle.PassTo((int)bench.Now.TotalMilliseconds);
                        holds[thing] = !holds[thing];
                        var moved = Things[thing].Rank switch
                        {
                            SpeechRank.Alarm => bench.Report($"s{thing}", new Reading(holds[thing] ? 1 : 9)),
                            _ => bench.Move(Switches[thing - 2], holds[thing] ? 2 : 1),
                        };
                        Assert.True(moved);
                        oracle.Turn(thing, holds[thing]);
                        // What is asked for at the very instant at which the voice has ended has its turn within that instant.
                        bench.AdvanceTo(bench.Now);
                        log.AddRange(bench.Log.After(log.Count == 0 ? 0 : log[^1].Number));
                    }

                    var said = log.Where(e => e.Kind == LogKind.Said)
                        .Select(e => ((int)e.At.Value, e.Text.Replace(" 5", "", StringComparison.Ordinal), e.CutsIn))
                        .ToArray();
                    Assert.Equal(oracle.Said, said);
                    Interlocked.Add(ref spoken, said.Length);
                    Interlocked.Add(ref cut, said.Count(s => s.CutsIn));
                },
                iter: Iterations.Of(100)
            );
        Score.Tell($"voice: {spoken} times spoken as a plain list says, {cut} times an alarm cut in");
        Assert.True(spoken > 1000 && cut > 20, $"{spoken}, {cut}");
    }

    [Fact]
    public void What_came_before_telemetry_was_lost_is_no_value_and_that_it_is_lost_is_said_once()
    {
        var setup = Demo
            .Plain.WithSensor("pack", SensorOrigin.Board)
            .WithCondition("ask", Build.At(Switches[0], 2))
            .InModel(m =>
                m with
                {
                    Announcements = m
                        .Announcements.Clear()
                        .Add(
                            "value",
                            Saying("Pack", "ask") with
                            {
                                Every = new(2000),
                                Value = new SpokenValue { Sensor = "pack" },
                            }
                        ),
                }
            );
        var bench = new BenchRun(setup);
        bench.AdvanceTo(TimeSpan.FromSeconds(5));
        bench.Move(Switches[0], 2);
        bench.AdvanceTo(TimeSpan.FromSeconds(6));
        bench.SetTelemetry(false);
        bench.AdvanceTo(TimeSpan.FromSeconds(20));
        bench.SetTelemetry(true);
        bench.AdvanceTo(TimeSpan.FromSeconds(22));
        string[] said = [.. bench.Log.After(0).Where(e => e.Kind == LogKind.Said).Select(e => e.Text)];
        // Within the second until packets are missed it is not known yet.
        Assert.Equal(["Pack 5", "Pack 5", "pack lost", "Pack 5"], said);
    }

    [Fact]
    public void A_tone_is_heard_before_the_words_and_takes_its_time()
    {
        var setup = Ground().WithAnnouncement("a0", a => a with { Tone = Tone.Rising });
        var bench = new BenchRun(setup);
        bench.Report("s0", new Reading(1));
        bench.Report("s1", new Reading(1));
        bench.AdvanceTo(TimeSpan.FromSeconds(1.9));
        var said = bench.Log.After(0);
        var sweep = Assert.IsType<ToneSweep>(said[0].Tone);
        Assert.True(sweep.From < sweep.To);
        Assert.Equal([(0.0, "Alarm one of the battery"), ((5 * Word) + sweep.Length.Value, "Alarm two")], Times(said));
    }

    // An edit on the bench: what waits and is still there goes on to wait, what is gone is not said.
    [Fact]
    public void An_edit_keeps_what_waits_where_it_is_still_to_be_said()
    {
        var bench = new BenchRun(Ground());
        bench.Report("s0", new Reading(1));
        bench.Move(Switches[0], 2);
        bench.Move(Switches[1], 2);
        bench.Replace(Ground().InModel(m => m with { Announcements = m.Announcements.Remove("a2") }));
        bench.AdvanceTo(TimeSpan.FromSeconds(1.9));
        Assert.Equal([(0.0, Things[0].Says), (5.0 * Word, Things[3].Says)], Times(bench.Log.After(0)));
    }

    [Fact]
    public void A_switch_asks_for_the_time_of_a_timer()
    {
        var setup = ReturnFaults.Right.ReadyMade(
            "spoken-on-switch",
            ("while", "right-back-switch:2"),
            ("sensor", "timer/flight-time")
        );
        Assert.Empty(SetupValidator.Check(setup));
        Assert.Empty(Examination.Of(setup));
        Assert.Contains("the time of Flight time", new ModelWords(setup.Transmitter, setup.Model).Of(Spoken(setup)));
        Assert.NotEmpty(Removals.Of(setup, "/model/timers/flight-time")!.NeededBy);
        var bench = new BenchRun(setup);
        bench.AdvanceTo(TimeSpan.FromSeconds(3));
        bench.Move("left-shoulder", 2);
        bench.AdvanceTo(TimeSpan.FromSeconds(4));
        bench.Move("throttle", 0);
        bench.AdvanceTo(TimeSpan.FromSeconds(69.5));
        bench.Move("right-back-switch", 2);
        bench.AdvanceTo(TimeSpan.FromSeconds(70));
        Assert.Equal("Flight time 1 minute 5 seconds", bench.Said()!.Text);
        var other = setup.WithAnnouncement("flight-time", a => a with { Value = new() { Sensor = "voltage" } });
        Assert.Contains(SetupValidator.Check(other), p => p.Place == "/model/announcements/flight-time/timer");
        var missing = setup.WithAnnouncement("flight-time", a => a with { Timer = "nobody" });
        Assert.Contains(SetupValidator.Check(missing), p => p.Reason == "The model has no timer \"nobody\".");
    }

    private static Announcement Spoken(Setup setup) => setup.Model.Announcements["flight-time"];

    private static IEnumerable<(double, string)> Times(IEnumerable<LogEntry> log) =>
        log.Where(e => e.Kind == LogKind.Said).Select(e => (e.At.Value, e.Text));

    private static Setup Ground()
    {
        var setup = Demo.Plain;
        setup = setup with
        {
            Transmitter = setup.Transmitter with
            {
                WordTime = new(Word),
                Controls = setup.Transmitter.Controls.SetItems(
                    Switches.Select(s => KeyValuePair.Create<string, Control>(s, TwoPositions(s)))
                ),
            },
            Model = setup.Model with { Announcements = ImmutableDictionary<string, Announcement>.Empty },
        };
        setup = setup.WithSensor("s0").WithSensor("s1").WithSensor("spoken");
        foreach (var (i, (says, rank, every)) in Things.Index())
        {
            Test test =
                rank == SpeechRank.Alarm
                    ? new SensorTest
                    {
                        Sensor = $"s{i}",
                        Relation = Relation.Below,
                        Limit = new(3),
                    }
                    : Build.At(Switches[i - 2], 2);
            setup = setup
                .WithCondition($"c{i}", test)
                .InModel(m =>
                    m with
                    {
                        Announcements = m.Announcements.Add(
                            $"a{i}",
                            Saying(says, $"c{i}") with
                            {
                                Every = every is { } ms ? new Milliseconds(ms) : null,
                                Value = rank == SpeechRank.Value ? new SpokenValue { Sensor = "spoken" } : null,
                            }
                        ),
                    }
                );
        }

        return setup;
    }

    private static SwitchControl TwoPositions(string id) =>
        new()
        {
            Label = id,
            Place = default,
            Positions = 2,
            Start = 1,
            Safe = 1,
        };

    private static Announcement Saying(string says, string when) =>
        new()
        {
            Says = says,
            About = AnnouncementSubject.Other,
            When = when,
        };

    // A list of what waits and one thing that is spoken, looked at each millisecond.
    private sealed class PlainVoice
    {
        private readonly List<int> waits = [];
        private readonly bool[] holds = new bool[Things.Length];
        private readonly int[] again = new int[Things.Length];
        private int speaks = -1;
        private int left;
        private int now;

        public List<(int At, string Text, bool CutsIn)> Said { get; } = [];

        public void PassTo(int time)
        {
            while (now < time)
            {
                now++;
                left = Math.Max(0, left - 1);
                for (var i = 0; i < Things.Length; i++)
                    if (holds[i] && Things[i].Every is { } every && again[i] == now)
                    {
                        again[i] = now + every;
                        if (!waits.Contains(i) && !(left > 0 && speaks == i))
                            waits.Add(i);
                    }

                Begin();
            }
        }

        public void Turn(int thing, bool on)
        {
            holds[thing] = on;
            if (!on)
                return;
            again[thing] = now + (Things[thing].Every ?? 0);
            waits.Remove(thing);
            waits.Add(thing);
            Begin();
        }

        private void Begin()
        {
            while (waits.Count > 0)
            {
                var next = waits.OrderBy(w => Things[w].Rank).First();
                var cuts = left > 0;
                if (cuts && !(Things[next].Rank == SpeechRank.Alarm && Things[speaks].Rank != SpeechRank.Alarm))
                    return;
                waits.Remove(next);
                if (Things[next].Rank == SpeechRank.Value && !holds[next])
                    continue;
                if (cuts && !waits.Contains(speaks))
                    waits.Insert(0, speaks);
                // "5" is a word more.
                var words = Things[next].Says.Split(' ').Length + (Things[next].Rank == SpeechRank.Value ? 1 : 0);
                (speaks, left) = (next, words * Word);
                Said.Add((now, Things[next].Says, cuts));
            }
        }
    }
}
