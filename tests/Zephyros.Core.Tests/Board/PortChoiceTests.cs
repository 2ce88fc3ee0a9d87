using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Board;

public sealed class PortChoiceTests
{
    // Common practice, no source: the whole table of inverter, pads and format.
    [Theory]
    [InlineData(WireFormat.Packed16, PortInverter.Fixed, PortPads.ReceiveOnly, PortFit.Fits)]
    [InlineData(WireFormat.Packed16, PortInverter.BySetting, PortPads.Both, PortFit.WithCare)]
    [InlineData(WireFormat.Packed16, PortInverter.None, PortPads.Both, PortFit.Impossible)]
    [InlineData(WireFormat.Word14, PortInverter.Fixed, PortPads.Both, PortFit.Impossible)]
    [InlineData(WireFormat.Word14, PortInverter.None, PortPads.ReceiveOnly, PortFit.Fits)]
    [InlineData(WireFormat.Burst7, PortInverter.BySetting, PortPads.ReceiveOnly, PortFit.Fits)]
    [InlineData(WireFormat.Duplex, PortInverter.None, PortPads.Both, PortFit.Fits)]
    [InlineData(WireFormat.Duplex, PortInverter.None, PortPads.ReceiveOnly, PortFit.Impossible)]
    [InlineData(WireFormat.PulseTrain, PortInverter.None, PortPads.Both, PortFit.Impossible)]
    public void A_port_fits_or_it_is_said_why_not(WireFormat format, PortInverter inverter, PortPads pads, PortFit fit)
    {
        var port = new SerialPort
        {
            Label = "Port 9",
            Inverter = inverter,
            Pads = pads,
        };
        var choice = Assert.Single(Choices(format, ("nine", port)));
        Assert.Equal(fit, choice.Fit);
        Assert.NotEmpty(choice.Reasons);
        Assert.Equal(fit == PortFit.Impossible, choice.Steps.Count == 0);
        Assert.Equal(
            format == WireFormat.Duplex && fit != PortFit.Impossible,
            choice.Steps.Any(s => s.Contains("cross", StringComparison.Ordinal))
        );
    }

    [Fact]
    public void The_best_port_comes_first_and_a_taken_one_last()
    {
        var plain = new SerialPort { Label = "x", Inverter = PortInverter.None };
        var choices = Choices(
            WireFormat.Word14,
            ("a", plain with { TakenBy = "position sensor" }),
            ("b", plain with { UsbPower = false }),
            ("c", plain),
            ("d", plain)
        );
        Assert.Equal(["c", "d", "b", "a"], choices.Select(c => c.Port));
        Assert.Contains("Propellers off", choices[2].Reasons[0], StringComparison.Ordinal);
        Assert.Contains("position sensor", choices[3].Reasons[0], StringComparison.Ordinal);
    }

    private static IReadOnlyList<PortChoice> Choices(WireFormat format, params (string Id, SerialPort Port)[] ports) =>
        PortChoices.Of(
            Demo.Plain.Board with
            {
                Ports = ports.ToImmutableDictionary(p => p.Id, p => p.Port),
                ReceiverPort = ports[^1].Id == "nine" ? "nine" : "c",
            },
            format.Describe()
        );
}
