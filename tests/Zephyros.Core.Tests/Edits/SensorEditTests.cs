using Zephyros.Core.Edits;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Edits;

public sealed class SensorEditTests
{
    private static readonly Setup Asked = Demo.Sandpiper.WithCondition(
        "high",
        new DelayTest
        {
            Of = [Any(Limit("height", 100), new NotTest { Of = [Limit("height", 50)] }, Limit("distance", 100))],
            OnAfter = new(500),
        }
    );

    // The international foot: 0.3048 m exactly (NIST SP 811, appendix B.8).
    [Fact]
    public void What_is_written_in_a_unit_moves_with_it_and_nothing_else()
    {
        var feet = Put(Asked, "ft");
        var limits = TestTrees.SensorTests(feet.Model.Conditions["high"].Test).Select(t => t.Limit.Value).ToArray();
        Assert.Equal([100 / 0.3048, 50 / 0.3048, 100], limits, (a, b) => Math.Abs(a - b) < 1e-6);
        var height = feet.Model.Sensors["height"];
        Assert.Equal(150 / 0.3048, height.Gauge!.To.Value, 6);
        Assert.Equal(500 / 0.3048, height.Highest.Value, 6);
        Assert.Equal(Asked.Model.Sensors["distance"], feet.Model.Sensors["distance"]);
        // Back again it is what it was, and by way of kilometres too.
        foreach (var by in new[] { "m", "km" })
        {
            var back = Put(feet, by);
            back = Put(back, "m");
            Assert.Equal(100, TestTrees.SensorTests(back.Model.Conditions["high"].Test).First().Limit.Value, 2);
            Assert.Equal(150, back.Model.Sensors["height"].Gauge!.To.Value, 2);
        }
    }

    [Fact]
    public void Where_a_unit_is_not_understood_only_its_name_changes()
    {
        var named = Put(Asked, "yd");
        Assert.True(
            SetupJson.Same(
                Asked.InModel(m => m with { Sensors = m.Sensors.Set("height", s => s with { Unit = "yd" }) }).Model,
                named.Model
            )
        );
    }

    private static Setup Put(Setup setup, string unit) =>
        SensorEdits.InUnit(setup, "height", unit).ApplyTo(setup).Setup!;

    private static SensorTest Limit(string sensor, double limit) =>
        new()
        {
            Sensor = sensor,
            Relation = Relation.Above,
            Limit = new(limit),
        };
}
