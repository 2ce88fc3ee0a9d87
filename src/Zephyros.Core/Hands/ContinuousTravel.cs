using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

internal static class ContinuousTravel
{
    public static Percent? Read(double setting) => setting is >= -100 and <= 100 ? new Percent(setting) : null;
}
