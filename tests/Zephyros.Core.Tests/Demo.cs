using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests;

/// <summary>The demo setups, and setups made from them by one change.</summary>
internal static class Demo
{
    public static Setup Sandpiper { get; } = Load("sandpiper");

    /// <summary>Sandpiper with the channel order of its board put right and called home in time: nothing is wrong with it.</summary>
    public static Setup Clean { get; } =
        Sandpiper.WithBoard(b => b with { Map = StickOrder.Parse("TAER") }).CalledHomeBeyond(800);

    public static Setup Wren { get; } = Load("wren");

    /// <summary>A small setup without a fault: the ground on which the tests build theirs.</summary>
    public static Setup Plain { get; } = Read(File.ReadAllBytes("Data/plain.json"));

    public static Setup Gannet { get; } = Load("gannet");

    public static TheoryData<string> Names =>
        [.. Directory.EnumerateFiles("demo").Select(f => System.IO.Path.GetFileNameWithoutExtension(f))];

    public static byte[] Bytes(string name) => File.ReadAllBytes($"demo/{name}.json");

    public static Setup Load(string name) => Read(Bytes(name));

    private static Setup Read(byte[] document)
    {
        var reading = SetupJson.Read(document);
        Assert.Empty(reading.Problems);
        return reading.Setup!;
    }

    /// <summary>Sandpiper, called home by another distance, in metres.</summary>
    public static Setup CalledHomeBeyond(this Setup setup, double metres)
    {
        var far = setup.Model.Conditions["far-out"];
        var test = TestTrees.SensorTests(far.Test).Single();
        var other = far with { Test = TestTrees.Replace(far.Test, test, test with { Limit = new(metres) }) };
        return setup with
        {
            Model = setup.Model with { Conditions = setup.Model.Conditions.SetItem("far-out", other) },
        };
    }

    public static Setup WithBoard(this Setup setup, Func<FlightBoard, FlightBoard> change) =>
        setup with
        {
            Board = change(setup.Board),
        };

    /// <summary>The same with a position receiver, so that there can be a fix.</summary>
    public static Setup Located(this Setup setup) =>
        setup.WithBoard(b => b with { Equipment = b.Equipment with { PositionReceiver = true } });

    public static Setup WithArm(this Setup setup, Func<BoardFunction, BoardFunction> change) =>
        setup.WithBoard(b => b with { Functions = b.Functions.SetItem("arm", change(b.Functions["arm"])) });

    public static Setup WithChannel(this Setup setup, string id, Func<Channel, Channel> change) =>
        setup with
        {
            Model = setup.Model with { Channels = setup.Model.Channels.SetItem(id, change(setup.Model.Channels[id])) },
        };

    public static Setup WithControl(this Setup setup, string id, Func<Control, Control> change) =>
        setup with
        {
            Transmitter = setup.Transmitter with { Controls = setup.Transmitter.Controls.Set(id, change) },
        };

    /// <summary>The plain setup with its arm function moved to a three-position switch: positions arrive as 988, 1500 and 2012 us.</summary>
    public static Setup ArmOnThreePositions(double low, double high) =>
        Plain
            .WithChannel("arm", c => c with { Take = new ControlSource { Control = "left-front-outer" } })
            .WithArm(f =>
                f with
                {
                    Control = "left-front-outer",
                    Low = new Microseconds(low),
                    High = new Microseconds(high),
                }
            );

    public static ImmutableDictionary<string, TValue> Set<TValue>(
        this ImmutableDictionary<string, TValue> map,
        string id,
        Func<TValue, TValue> change
    ) => map.SetItem(id, change(map[id]));
}
