using Zephyros.Core.Path;
using Zephyros.Core.Proof;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Any control that arms is meant to stop the motors, wherever it stands among the controls.</summary>
public sealed class MeantStopTests
{
    [Fact]
    public void Each_control_that_arms_is_meant_to_stop() =>
        Assert.All(
            Demo.Plain.Transmitter.Controls.Keys,
            control =>
                Assert.Contains(
                    StopControls.Meant(
                        SignalPlan.Compile(Demo.Plain.WithArm(a => a with { Control = control, Planned = [] }))
                    ),
                    stop => stop.Control == control
                )
        );
}
