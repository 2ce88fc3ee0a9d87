using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>What planted faults and harmless variants are made of.</summary>
internal static class PlantedParts
{
    public static readonly Setup Clean = Demo.Clean;

    // Its battery alarm has a limit that every reading is below; put right, it is beside nothing. So is the reset of its timer, which
    // was not enabled; and it cannot fly home.
    public static readonly Setup CleanWren = Demo
        .Wren.WithLoss(_ => new())
        .WithCondition("empty", new DelayTest { Of = [Reads("voltage", Relation.Below, 14.1)], OnAfter = new(3000) })
        .InModel(m =>
            m with
            {
                Timers = m.Timers.Set("pack", t => t with { Reset = t.Reset! with { Enabled = true } }),
            }
        );

    /// <summary>The clean setup with a timer that something else resets.</summary>
    public static Setup ResetBy(Test resets) => Clean.WithCondition("unplugged", resets);

    /// <summary>A button that is held for two seconds.</summary>
    public static PressTest Pressed(string button) => new() { Control = button, AtLeast = new(2000) };

    public static Setup WithGuards(this Setup setup, Func<ArmGuards, ArmGuards> change) =>
        setup.WithBoard(b => b with { Guards = change(b.Guards) });

    public static Setup WithLoss(this Setup setup, Func<LossSettings, LossSettings> change) =>
        setup.WithBoard(b => b with { Loss = change(b.Loss) });

    public static Setup WithExtra(
        this Setup setup,
        string id,
        FunctionKind kind,
        string control,
        int aux,
        int planned
    ) =>
        setup.WithBoard(b =>
            b with
            {
                Functions = b.Functions.SetItem(
                    id,
                    b.Functions["arm"] with
                    {
                        Kind = kind,
                        Label = id,
                        Control = control,
                        Aux = aux,
                        Planned = [planned],
                    }
                ),
            }
        );

    /// <summary>A step that shifts a chain while a condition holds.</summary>
    public static ScaleStep Shifted(int order, double percent, string when) =>
        new()
        {
            Order = order,
            Scale = new(100),
            Shift = new(percent),
            When = when,
        };

    public static SensorTest Reads(string sensor, Relation relation, double limit) =>
        new()
        {
            Sensor = sensor,
            Relation = relation,
            Limit = new(limit),
        };

    // Falls by a little around 51.2 %, which is none of the usual places.
    public static CurveStep Dip(double width) =>
        new()
        {
            Order = 1,
            Smooth = false,
            Points = Points(
                (-100, -100),
                (51.2, 51.2),
                (51.2 + (width / 2), 51.2 - width),
                (51.2 + width, 51.2 + width),
                (100, 100)
            ),
        };

    // Two times begun by one switch lift the throttle: when both are over and none was over alone before, or when the first is over and the
    // second is not.
    public static Setup Together(Setup craft, double first, double second, bool both)
    {
        DelayTest After(double time) => new() { Of = [At("right-shoulder", 2)], OnAfter = new(time) };
        var setup = craft.WithCondition("one", After(first)).WithCondition("other", After(second));
        if (!both)
            return setup
                .WithCondition("lift", All(Holds("other"), Not(Holds("one"))))
                .WithOverride("throttle", "lift", 30);
        return setup
            .WithCondition(
                "alone",
                Latch(
                    Any(All(Holds("one"), Not(Holds("other"))), All(Holds("other"), Not(Holds("one")))),
                    At("right-shoulder", 1)
                )
            )
            .WithCondition("lift", All(Holds("one"), Holds("other"), Not(Holds("alone"))))
            .WithOverride("throttle", "lift", 30);
    }

    public static Setup SlowToStart(Setup setup) =>
        setup with
        {
            Transmitter = setup.Transmitter with { RestartTime = new(3000) },
        };

    public static BoardFunction Band(BoardFunction function, double low, double high) =>
        function with
        {
            Low = new Microseconds(low),
            High = new Microseconds(high),
        };

    /// <summary>A step that takes part of what comes, in percent.</summary>
    public static ScaleStep Share(double percent) => new() { Order = 1, Scale = new(percent) };

    /// <summary>A throttle that was measured to wander by 20 µs.</summary>
    public static Setup Trembling(Setup setup) =>
        setup.WithBoard(b => b with { Wander = b.Wander.Add(new(1), new(20)) });

    /// <summary>A receiver that sends some channels by itself without radio, in microseconds.</summary>
    public static Setup Presets(params (int Channel, double Value)[] presets) =>
        Clean.WithAir(a =>
            a with
            {
                OnLoss = ReceiverLoss.Preset,
                Presets = presets.ToImmutableDictionary(
                    p => new ChannelNumber(p.Channel),
                    p => new Microseconds(p.Value)
                ),
            }
        );
}
