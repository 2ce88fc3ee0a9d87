using Zephyros.Core.Captures;

namespace Zephyros.Core.Tests.Captures;

/// <summary>What a recording is recognised as, within the time of a test.</summary>
internal static class Recognised
{
    public static CaptureVerdict As(LineCapture capture) =>
        Recogniser.Recognise(capture, TestContext.Current.CancellationToken);
}
