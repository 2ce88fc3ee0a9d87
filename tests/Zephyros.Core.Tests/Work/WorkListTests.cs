using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Evidence;
using Zephyros.Core.Findings;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;
using Zephyros.Core.Verdicts;
using Zephyros.Core.Work;
using Zephyros.Core.Work.Steps;

namespace Zephyros.Core.Tests.Work;

/// <summary>What remains to be done: every step from a new craft to one that is shown at the bench, and what makes it stale.</summary>
public sealed class WorkListTests
{
    // With a link that is written down, a port that was looked at, an alarm on a sensor that comes, and a timer behind it.
    private static readonly Setup Craft = (Demo.Plain with { Craft = Demo.Sandpiper.Craft })
        .ReadyMade("flight-timer", ("arm", "left-shoulder:2"))
        .InModel(m =>
            m with
            {
                Sensors = Demo.Sandpiper.Model.Sensors,
                Conditions = m.Conditions.Add("battery-low", Demo.Sandpiper.Model.Conditions["battery-low"]),
                Announcements = m.Announcements.Add("battery", Demo.Sandpiper.Model.Announcements["battery"]),
            }
        )
        .WithBoard(b => b with { Equipment = Demo.Sandpiper.Board.Equipment })
        .WithAir(a =>
            a with
            {
                Modules = a.Modules.Add("bay", new() { Label = "Bay", On = true }),
                Receiver = a.Receiver with { Label = "Rail" },
            }
        )
        .WithBoard(b => Seen(b, true));

    private static readonly Setup PortUnseen = Craft.WithBoard(b => Seen(b, null));

    private static readonly DateTimeOffset At = new(2026, 5, 1, 12, 0, 0, TimeSpan.Zero);

    [Fact]
    public void Steps_say_what_they_said() =>
        Recorded.AssertSame(
            "work",
            from craft in new[]
            {
                ("new", NewSetup.For("Tern", BlankTransmitters.All[0])),
                ("plain", Demo.Plain),
                ("gannet", Demo.Gannet),
            }
            from step in WorkList.Of(Facts(craft.Item2)).Steps
            from line in (string[])
                [
                    $"{craft.Item1}: {step.Id} [{step.State}, {step.ShownBy}] {step.Name}: {step.Stands} ({step.Why} {step.Caution})",
                    .. step.Items.Select(i => $"    {i.Id} [{i.State}] {i.Do} => {i.Expected}"),
                ]
            select line
        );

    [Fact]
    public void A_craft_that_is_shown_at_the_bench_has_nothing_left_to_do()
    {
        var list = WorkList.Of(Shown(Craft));
        Assert.All(list.Steps, s => Assert.Equal(WorkState.Done, s.State));
        Assert.Equal((list.Steps.Count, list.Steps.Count, null), (list.Done, list.Needed, list.Next));
    }

    [Theory]
    [InlineData("name", "transmitter")]
    [InlineData("transmitter", "power-on")]
    [InlineData("positions", "port")]
    [InlineData("loss", null)]
    public void The_next_step_is_the_first_that_is_open(string done, string? next)
    {
        var all = WorkList.Rules.Select(r => r.Id).ToArray();
        var after = all[(Array.IndexOf(all, done) + 1)..];
        var facts = Shown(Craft);
        // What is open after it: nothing of it is recorded.
        facts = facts with
        {
            Ticks = [.. facts.Ticks.Where(t => !after.Contains(t.Record.Step))],
            Plan = after.Contains("port") ? SignalPlan.Compile(PortUnseen) : facts.Plan,
        };
        Assert.Equal(next, WorkList.Of(facts).Next);
    }

    // Whatever changes what is asked makes a tick stale, and what nobody ticked stays to be done.
    [Fact]
    public void A_change_of_what_is_asked_makes_it_stale()
    {
        var (stale, stood) = (0, 0);
        foreach (var setup in (Setup[])[Demo.Plain, Demo.Gannet, Demo.Wren, Demo.Sandpiper])
        {
            var ticks = Ticks(setup);
            var asked = Asked(setup);
            var edits = new RandomEdits(new Random(7));
            for (var i = 0; i < Iterations.OfProofs(60); i++)
            {
                if (edits.Of(setup) is not var (place, changed))
                    continue;
                var now = Asked(changed);
                foreach (var step in WorkList.Of(Facts(changed) with { Ticks = ticks }).Steps)
                foreach (var item in step.Items)
                {
                    var key = (step.Id, item.Id);
                    if (!asked.TryGetValue(key, out var before))
                        Assert.Equal(WorkState.ToDo, item.State);
                    else if (before != now[key])
                        Assert.True(
                            item.State == WorkState.Stale,
                            $"{key} stands although {place} changed what is asked"
                        );
                    stale += item.State == WorkState.Stale ? 1 : 0;
                    stood += item.State == WorkState.Done ? 1 : 0;
                }
            }
        }

        Score.Tell($"ticks: {stale} stale, {stood} stood");
        Assert.True(stale > 100 && stood > 10 * stale / 5, $"{stale} stale, {stood} stood");
    }

    [Fact]
    public void A_tick_of_arming_goes_stale_when_the_way_of_the_arm_switch_is_another()
    {
        var facts = Shown(Craft);
        var changed = Craft.WithChannel("arm", c => c with { Output = c.Output with { High = new Percent(90) } });
        var step = Step(facts with { Plan = SignalPlan.Compile(changed) }, "refusals");
        Assert.Equal(WorkState.Stale, step.State);
        Assert.Contains("the channel of Arm", step.Stands, StringComparison.Ordinal);
        // A name moves no value.
        var named = Craft.WithChannel("arm", c => c with { Label = "Arming" });
        Assert.Equal(WorkState.Done, Step(facts with { Plan = SignalPlan.Compile(named) }, "refusals").State);
    }

    [Fact]
    public void What_did_not_come_out_is_failed_until_it_is_ticked_anew()
    {
        var facts = Shown(Craft);
        var tick = facts.Ticks.First(t => t.Record.Step == "loss");
        var wrong = tick with { Record = tick.Record with { AsExpected = false, Seen = "One motor went on." } };
        var failed = Step(facts with { Ticks = [wrong, .. facts.Ticks] }, "loss");
        Assert.Equal(WorkState.Failed, failed.State);
        Assert.Equal("One motor went on.", failed.Items.Single(i => i.State == WorkState.Failed).Seen);
        Assert.Equal(WorkState.Done, Step(facts with { Ticks = [tick, wrong, .. facts.Ticks] }, "loss").State);
    }

    // Not every pilot can record a wire: the step is done without it, and not where it was recorded and came out wrong.
    [Fact]
    public void What_takes_more_than_every_pilot_has_holds_up_nothing()
    {
        var facts = Shown(Craft);
        var wire = facts.Ticks.Single(t => t.Record is { Step: TryLoss.Step, Item: TryLoss.Wire });
        var without = facts.Ticks.Where(t => t != wire).ToArray();
        Assert.Equal(WorkState.Done, Step(facts with { Ticks = without }, TryLoss.Step).State);
        var old = wire with { Basis = [] };
        Assert.Equal(WorkState.Done, Step(facts with { Ticks = [old, .. without] }, TryLoss.Step).State);
        var wrong = wire with { Record = wire.Record with { AsExpected = false } };
        Assert.Equal(WorkState.Failed, Step(facts with { Ticks = [wrong, .. without] }, TryLoss.Step).State);
        // Alone it shows nothing of the board.
        Assert.Equal(WorkState.ToDo, Step(facts with { Ticks = [wire] }, TryLoss.Step).State);
    }

    [Theory]
    [InlineData("PLAIN", "Other", "Plain, stored as PLAIN. But Other is stored as PLAIN too.")]
    [InlineData("OTHER", "plain", "Another craft is called Plain too.")]
    public void Two_craft_of_one_name_are_told(string stored, string craft, string says)
    {
        var setup = Demo.Plain with { Craft = Demo.Plain.Craft with { Name = "Plain" } };
        setup = setup.InModel(m => m with { Name = "PLAIN" });
        var step = Step(Facts(setup) with { Others = [("Tern", "TERN"), (craft, stored)] }, "name");
        Assert.Equal((WorkState.Failed, says), (step.State, step.Stands));
    }

    [Fact]
    public void Measurements_are_judged_and_the_simulated_board_proves_nothing()
    {
        var facts = Shown(Craft);
        var measured = facts.Measurements[0];
        WorkFacts With(MeasurementRecord record, params string[] changed) =>
            facts with
            {
                Measurements = [measured with { Record = record, Changed = changed }],
            };

        foreach (var id in (string[])["order", "ends", "positions"])
        {
            Assert.Equal(WorkState.Stale, Step(With(measured.Record, "the board's map"), id).State);
            var simulated = Step(With(measured.Record with { Simulated = true }), id);
            Assert.Equal(WorkState.ToDo, simulated.State);
            Assert.Contains("simulated", simulated.Stands, StringComparison.Ordinal);
            Assert.Equal(WorkState.ToDo, Step(facts with { Measurements = [] }, id).State);
        }

        var record = measured.Record;
        Assert.Equal(
            (WorkState.Failed, "As measured, yaw runs the wrong way."),
            Stands(
                With(
                    record with
                    {
                        Wiggles =
                        [
                            .. record.Wiggles.Select(w => w.Moved == StickAxis.Yaw ? w with { Reversed = true } : w),
                        ],
                    }
                ),
                "order"
            )
        );
        Assert.Equal(WorkState.ToDo, Stands(With(record with { Wiggles = [record.Wiggles[0]] }), "order").State);
        var throttle = record.Sweeps["throttle"];
        Assert.Equal(
            WorkState.Failed,
            Stands(
                With(record with { Sweeps = record.Sweeps.SetItem("throttle", throttle with { Low = new(1100) }) }),
                "ends"
            ).State
        );
        Assert.Equal(
            (WorkState.Failed, "With the stick let go, roll still turns."),
            Stands(
                With(
                    record with
                    {
                        Sweeps = record.Sweeps.SetItem("roll", record.Sweeps["roll"] with { Centre = new(1530) }),
                    }
                ),
                "ends"
            )
        );
        Assert.Equal(
            (WorkState.ToDo, "Not measured yet: yaw."),
            Stands(With(record with { Sweeps = record.Sweeps.Remove("yaw") }), "ends")
        );
        var armed = record.Positions.Single(p => p is { Control: "left-shoulder", Setting: > 1 });
        Assert.Equal(
            (WorkState.Failed, "Not as planned: Left shoulder far."),
            Stands(
                With(record with { Positions = record.Positions.Replace(armed, armed with { Value = new(1300) }) }),
                "positions"
            )
        );
        Assert.Equal(WorkState.ToDo, Stands(With(record with { Positions = [armed] }), "positions").State);
    }

    [Theory]
    [InlineData(false, true, WorkState.Failed)]
    [InlineData(true, false, WorkState.Stale)]
    [InlineData(true, true, WorkState.Done)]
    public void The_last_bind_counts(bool asExpected, bool stands, WorkState state)
    {
        var bind = new BindRecord { Steps = [new() { Do = "Press", AsExpected = asExpected }] };
        var good = new Kept<BindRecord>(new BindRecord(), At, []);
        var facts = Facts(Demo.Plain) with { Binds = [new(bind, At, stands ? [] : ["the receiver"]), good] };
        Assert.Equal(state, Step(facts, "bind").State);
    }

    private static FlightBoard Seen(FlightBoard board, bool? set) =>
        board with
        {
            Ports = board.Ports.SetItem(board.ReceiverPort, board.Ports[board.ReceiverPort] with { ReceiverSet = set }),
        };

    private static WorkStep Step(WorkFacts facts, string id) => WorkList.Of(facts).Steps.Single(s => s.Id == id);

    private static (WorkState State, string Stands) Stands(WorkFacts facts, string id) =>
        Step(facts, id) is var step ? (step.State, step.Stands) : default;

    private static WorkFacts Facts(Setup setup)
    {
        var findings = Examination.Of(setup);
        PromiseStanding[] promises =
        [
            .. PromiseList.All.Select(p => new PromiseStanding(p, new PromiseVerdict(VerdictKind.Proven, ""), null)),
        ];
        var verdict = CraftVerdict.Of(ToldFindings.Of(findings), promises, running: false);
        return new WorkFacts(SignalPlan.Compile(setup), findings, verdict, [], [], [], []);
    }

    // Everything was done at the bench, and came out as planned.
    private static WorkFacts Shown(Setup setup)
    {
        var facts = Facts(setup);
        var record = new MeasurementRecord
        {
            Wiggles =
            [
                .. StickAxes.All.Select(a => new WiggleSeen
                {
                    Moved = a,
                    Bar = a,
                    Reversed = false,
                }),
            ],
            Sweeps = StickAxes.All.ToImmutableDictionary(
                a => a.Word(),
                _ => new Sweep
                {
                    Low = new(1000),
                    Centre = new(1500),
                    High = new(2000),
                }
            ),
            Positions =
            [
                .. from row in MeasuredRows.Of(facts.Plan)
                from cell in row.Cells
                select new PositionSeen
                {
                    Control = row.Control,
                    Setting = (int)cell.Setting,
                    Channel = row.Channel,
                    Value = cell.Received,
                },
            ],
        };
        return facts with
        {
            Binds = [new(new BindRecord(), At, [])],
            Measurements = [new(record, At, [])],
            Ticks = Ticks(setup),
        };
    }

    private static Ticked[] Ticks(Setup setup) =>
        [
            .. from rule in WorkList.Rules.OfType<TickRule>()
            from deed in rule.Deeds(SignalPlan.Compile(setup))
            select new Ticked(
                new TickRecord
                {
                    Step = rule.Id,
                    Item = deed.Id,
                    AsExpected = true,
                },
                At,
                rule.BasisOf(deed)
            ),
        ];

    private static Dictionary<(string Step, string Item), (string Do, string Expected)> Asked(Setup setup) =>
        (
            from rule in WorkList.Rules.OfType<TickRule>()
            from deed in rule.Deeds(SignalPlan.Compile(setup))
            select ((rule.Id, deed.Id), (deed.Do, deed.Expected))
        ).ToDictionary(d => d.Item1, d => d.Item2);
}
