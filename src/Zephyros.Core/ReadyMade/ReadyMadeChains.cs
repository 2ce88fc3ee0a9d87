namespace Zephyros.Core.ReadyMade;

/// <summary>All ready-made chains.</summary>
public static class ReadyMadeChains
{
    /// <summary>The chains, in the order in which they are usually wanted.</summary>
    public static IReadOnlyList<IReadyMade> All { get; } =
    [
        new ThrottleLock(),
        new ThrottleCut(),
        new TwoStageArming(),
        new ThrottleLimiter(),
        new StraightenSwitch(),
        new DialThirds(),
        new ExpoCurve(),
        new BatteryAlarm(),
        new SignalAlarm(),
        new ReturnByDistance(),
        new SpokenOnSwitch(),
        new TimerChain(),
    ];

    /// <summary>The chain of an id, or null.</summary>
    public static IReadyMade? Find(string id) => All.FirstOrDefault(c => c.Id == id);
}
