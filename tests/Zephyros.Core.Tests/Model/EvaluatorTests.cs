using System.Collections.Immutable;
using System.Text.Json.Nodes;
using CsCheck;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Model;

/// <summary>The compiled evaluator as a whole, on random models.</summary>
public sealed class EvaluatorTests
{
    private const int Steps = 40;

    [Fact]
    public void The_compiled_evaluator_equals_a_plain_interpreter() =>
        Gen.Int[0, int.MaxValue]
            .Sample(
                seed =>
                {
                    var models = new RandomModels(seed);
                    var setup = models.Make();
                    Assert.Empty(SetupValidator.Check(setup).Select(p => $"{p.Place} {p.Reason}"));
                    var plain = new PlainInterpreter(setup.Transmitter, setup.Model);
                    var compiled = new Compiled(setup);
                    var inputs = models.AtRest();
                    for (var i = 0; i < Steps; i++)
                    {
                        var expected = plain.Step(inputs);
                        compiled.Step(inputs);
                        foreach (var condition in setup.Model.Conditions.Keys)
                            Assert.Equal(plain.Holds(condition), compiled.Plan.Holds(compiled.Memory, condition));
                        Assert.Equal(plain.ActiveState(), compiled.Plan.ActiveState(compiled.Memory));
                        foreach (var (channel, values) in expected)
                            Assert.Equal(values, compiled.Values(channel), Near);
                        inputs = models.Next(inputs);
                    }
                },
                iter: Iterations.Of(300)
            );

    [Fact]
    public void The_order_of_declaration_changes_nothing() =>
        Gen.Int[0, int.MaxValue]
            .Sample(
                seed =>
                {
                    var models = new RandomModels(seed);
                    var setup = models.Make();
                    var shuffled = Shuffled(setup, new Random(seed));
                    var (one, other) = (new Compiled(setup), new Compiled(shuffled));
                    var inputs = models.AtRest();
                    for (var i = 0; i < Steps; i++)
                    {
                        one.Step(inputs);
                        other.Step(inputs);
                        Assert.Equal(one.Sent, other.Sent);
                        inputs = models.Next(inputs);
                    }
                },
                iter: Iterations.Of(100)
            );

    // Seven times multiplied by a distance of 3 000 it would be beyond all numbers before long.
    [Fact]
    public void Whatever_is_multiplied_stays_a_number()
    {
        var far = new Operand
        {
            Take = new SensorSource { Sensor = "distance" },
            Scale = new Percent(200),
        };
        var steps = Enumerable
            .Range(0, 120)
            .ToImmutableDictionary(i => $"s{i}", i => (ChainStep)new MultiplyStep { Order = i, With = far });
        var setup = Demo.Sandpiper.WithChannel("camera", c => c with { Steps = steps });
        var plain = new PlainInterpreter(setup.Transmitter, setup.Model);
        var compiled = new Compiled(setup);
        foreach (var dial in new[] { -100.0, 0, 100 })
        {
            var rest = new RandomModels(1).AtRest();
            var inputs = new PlainInterpreter.Inputs(
                setup.Transmitter.Controls.ToDictionary(
                    c => c.Key,
                    c => c.Key == "right-dial" ? dial : c.Value.StartValue.Value,
                    StringComparer.Ordinal
                ),
                rest.Readings.ToDictionary(r => r.Key, _ => 3_000.0, StringComparer.Ordinal),
                Lost: false,
                Elapsed: 0
            );
            var expected = plain.Step(inputs)["camera"];
            compiled.Step(inputs);
            Assert.Equal(expected, compiled.Values("camera"));
            Assert.Equal(Math.Sign(dial) * ChainLimit.Largest.Value, expected[119]);
            Assert.All(compiled.Sent, us => Assert.InRange(us, 800, 2200));
        }
    }

    private static bool Near(double a, double b) => Math.Abs(a - b) <= 1e-7 * Math.Max(1, Math.Abs(a));

    // The same document with the members of every object in another order, and every id of the model replaced by another.
    private static Setup Shuffled(Setup setup, Random random)
    {
        var text = CanonicalJson.Write(setup);
        string[] ids =
        [
            .. setup.Model.Conditions.Keys,
            .. setup.Model.Channels.Keys,
            .. setup.Model.States.Keys,
            .. setup.Model.Overrides.Keys,
            .. setup.Model.Channels.Values.SelectMany(c => c.Steps.Keys),
        ];
        foreach (var id in ids.Distinct(StringComparer.Ordinal))
            text = text.Replace($"\"{id}\"", $"\"{random.Next():x}-{id}\"", StringComparison.Ordinal);
        var reading = SetupJson.Read(
            System.Text.Encoding.UTF8.GetBytes(Mix(JsonNode.Parse(text)!, random).ToJsonString())
        );
        Assert.Empty(reading.Problems);
        return reading.Setup!;
    }

    private static JsonNode Mix(JsonNode node, Random random)
    {
        switch (node)
        {
            case JsonObject made:
                var members = made.Select(m =>
                    KeyValuePair.Create(m.Key, m.Value is null ? null : Mix(m.Value, random))
                );
                var mixed = members.ToArray();
                // The discriminator of a type stays in front, where readers of JSON want it.
                random.Shuffle(mixed);
                return new JsonObject(mixed.OrderBy(m => m.Key != "kind"));
            case JsonArray list:
                return new JsonArray([.. list.Select(v => v is null ? null : Mix(v, random))]);
            default:
                return node.DeepClone();
        }
    }

    private sealed class Compiled
    {
        private readonly Percent[] slots;
        private readonly Microseconds[] sent;

        public Compiled(Setup setup)
        {
            Plan = ModelPlan.Compile(setup.Transmitter, setup.Model);
            Memory = Plan.PowerOn();
            (slots, sent) = (new Percent[Plan.SlotCount], new Microseconds[Plan.ChannelCount]);
        }

        public ModelPlan Plan { get; }

        public ModelMemory Memory { get; }

        public IEnumerable<double> Sent => sent.Select(s => s.Value);

        public void Step(PlainInterpreter.Inputs now)
        {
            Percent[] hands = [.. Plan.Controls.Select(c => new Percent(now.Hands[c.Key]))];
            Reading[] readings = [.. Plan.Sensors.Select(s => new Reading(now.Readings[s.Key]))];
            var elapsed = double.IsInfinity(now.Elapsed) ? TimeSpan.MaxValue : TimeSpan.FromMilliseconds(now.Elapsed);
            Plan.Evaluate(new ModelInputs(hands, readings, now.Lost), elapsed, Memory, slots, sent);
        }

        public double[] Values(string channel)
        {
            var planned = Plan.Channels.Single(c => c.Id == channel);
            return [.. slots[planned.FirstSlot..(planned.LastSlot + 1)].Select(s => s.Value)];
        }
    }
}
