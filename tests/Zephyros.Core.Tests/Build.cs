using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Proof;
using Zephyros.Core.ReadyMade;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests;

/// <summary>Short ways to write models and their parts in tests.</summary>
internal static class Build
{
    /// <summary>Limits of a proof that a slow or busy machine does not meet either.</summary>
    public static ProofLimits Patient { get; } = new() { Time = TimeSpan.FromMinutes(20) };

    /// <summary>A ready-made chain built into a setup that stays valid.</summary>
    public static Setup ReadyMade(this Setup setup, string id, params (string Name, string Value)[] wanted)
    {
        var built = Try(setup, id, wanted).Built;
        Assert.NotNull(built);
        Assert.Empty(SetupValidator.Check(built.Setup));
        return built.Setup;
    }

    /// <summary>A ready-made chain with what was worked out, or with the problems of its arguments.</summary>
    public static (Built? Built, Arguments Arguments) Try(
        Setup setup,
        string id,
        params (string Name, string Value)[] wanted
    )
    {
        var chain = ReadyMadeChains.Find(id)!;
        var given = wanted.ToDictionary(w => w.Name, w => w.Value, StringComparer.Ordinal);
        var arguments = new Arguments(setup, chain, given);
        return (chain.Build(setup, arguments), arguments);
    }

    public static Setup InModel(this Setup setup, Func<TransmitterModel, TransmitterModel> change) =>
        setup with
        {
            Model = change(setup.Model),
        };

    public static Setup WithCondition(this Setup setup, string id, Test test) =>
        setup.InModel(m => m with { Conditions = m.Conditions.SetItem(id, new Condition { Label = id, Test = test }) });

    public static Setup WithAnnouncement(this Setup setup, string id, Func<Announcement, Announcement> change) =>
        setup.InModel(m => m with { Announcements = m.Announcements.Set(id, change) });

    public static Setup WithStep(this Setup setup, string channel, string id, ChainStep step) =>
        setup.WithChannel(channel, c => c with { Steps = c.Steps.SetItem(id, step) });

    public static Setup WithOverride(this Setup setup, string channel, string when, double percent) =>
        setup.InModel(m =>
            m with
            {
                Overrides = m.Overrides.SetItem(
                    $"{channel}-{when}",
                    new Override
                    {
                        Label = "Forced",
                        Channel = channel,
                        When = when,
                        Value = new Percent(percent),
                    }
                ),
            }
        );

    /// <summary>Channel "arm" of the plain setup as a place to try steps on: it takes the left dial.</summary>
    public static Setup OnDial(params ChainStep[] steps) =>
        Demo.Plain.WithChannel(
            "arm",
            c =>
                c with
                {
                    Take = Hand("left-dial"),
                    Steps = steps.Select((s, i) => (s, i)).ToImmutableDictionary(s => $"step-{s.i}", s => s.s),
                }
        );

    public static ControlSource Hand(string control) => new() { Control = control };

    public static ConstantSource Constant(double percent) => new() { Value = new Percent(percent) };

    public static Operand With(Source take, double scale = 100, double shift = 0) =>
        new()
        {
            Take = take,
            Scale = new Percent(scale),
            Shift = new Percent(shift),
        };

    public static PositionTest At(string control, params int[] positions) =>
        new() { Control = control, Positions = [.. positions] };

    public static HoldsTest Holds(string condition) => new() { Condition = condition };

    public static NotTest Not(params Test[] of) => new() { Of = [.. of] };

    public static SensorTest Sensed(string sensor, Relation relation, double limit) =>
        new()
        {
            Sensor = sensor,
            Relation = relation,
            Limit = new Reading(limit),
        };

    public static AllTest All(params Test[] of) => new() { Of = [.. of] };

    public static AnyTest Any(params Test[] of) => new() { Of = [.. of] };

    public static LatchTest Latch(Test set, Test clear) => new() { Set = [set], Clear = [clear] };

    public static CompareTest Below(Source value, double limit) =>
        new()
        {
            Value = value,
            Relation = Relation.Below,
            Limit = new Percent(limit),
        };

    public static CompareTest Above(Source value, double limit) =>
        Below(value, limit) with
        {
            Relation = Relation.Above,
        };

    public static ImmutableArray<CurvePoint> Points(params (double X, double Y)[] points) =>
        [.. points.Select(p => new CurvePoint { X = new Percent(p.X), Y = new Percent(p.Y) })];

    /// <summary>With a changed function of the board.</summary>
    public static Setup WithFunction(this Setup setup, string id, Func<BoardFunction, BoardFunction> change) =>
        setup.WithBoard(b => b with { Functions = b.Functions.Set(id, change) });

    /// <summary>With a sensor that reads 5 of 0 to 10 until it is moved.</summary>
    public static Setup WithSensor(this Setup setup, string id, SensorOrigin origin = SensorOrigin.Transmitter) =>
        setup.InModel(m =>
            m with
            {
                Sensors = m.Sensors.SetItem(
                    id,
                    new Sensor
                    {
                        Label = id,
                        Origin = origin,
                        Lowest = default,
                        Highest = new(10),
                        Bench = new(5),
                    }
                ),
            }
        );

    /// <summary>With a voice that takes no time: for what is said, and not how long.</summary>
    public static Setup WithQuickVoice(this Setup setup) =>
        setup with
        {
            Transmitter = setup.Transmitter with { WordTime = default },
        };

    /// <summary>With a changed link.</summary>
    public static Setup WithAir(this Setup setup, Func<LinkSettings, LinkSettings> change) =>
        setup with
        {
            Air = change(setup.Air),
        };
}
