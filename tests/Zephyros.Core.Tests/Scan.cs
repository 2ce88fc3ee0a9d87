using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests;

/// <summary>A number of a setup that goes through its range, in steps.</summary>
/// <param name="Name">What the number is.</param>
/// <param name="From">Where it begins.</param>
/// <param name="To">Where it ends.</param>
/// <param name="Step">Its step.</param>
/// <param name="At">The setup with a number.</param>
internal sealed record Scan(string Name, double From, double To, double Step, Func<double, Setup> At)
{
    private const int Few = 64;

    private IReadOnlyList<string> Names { get; init; } = [];

    private int Last => (int)Math.Round((To - From) / Step);

    /// <summary>Values of any kind, one after the other.</summary>
    public static Scan Each<T>(string name, T[] values, Func<T, Setup> at) =>
        new(name, 0, values.Length - 1, 1, x => at(values[(int)x])) { Names = [.. values.Select(v => $"{v}")] };

    /// <summary>The stretches on which something is the same, with what it is there.</summary>
    /// <param name="look">Looks at a setup.</param>
    /// <param name="key">Tells by what two looks are the same.</param>
    /// <param name="apart">Of many steps only every so many are looked at; between two that differ the step at which it changes is
    /// searched.</param>
    /// <param name="few">How many steps are many.</param>
    public IEnumerable<(string Range, Setup Setup, T There)> Stretches<T>(
        Func<Setup, T> look,
        Func<T, string> key,
        int apart = 16,
        int few = Few
    )
    {
        var seen = new Dictionary<int, T>();
        T There(int place) => seen.TryGetValue(place, out var known) ? known : seen[place] = look(At(Of(place)));
        var begins = 0;
        foreach (var end in Ends(place => key(There(place)), Names.Count > 0 || Last <= few ? 1 : apart))
        {
            yield return (
                end > begins ? $"{Told(begins)} to {Told(end)}" : Told(begins),
                At(Of(begins)),
                There(begins)
            );
            begins = end + 1;
        }
    }

    private IEnumerable<int> Ends(Func<int, string> at, int apart)
    {
        for (var place = 0; place < Last; )
        {
            var (same, other) = (place, Math.Min(place + apart, Last));
            if (at(same) == at(other))
            {
                place = other;
                continue;
            }

            while (other - same > 1)
            {
                var middle = (same + other) / 2;
                (same, other) = at(middle) == at(same) ? (middle, other) : (same, middle);
            }

            yield return same;
            place = other;
        }

        yield return Last;
    }

    private double Of(int place) => Math.Round(From + (place * Step), 6);

    private string Told(int place) => Names.Count > 0 ? Names[place] : Figures.Plain(Of(place), 6);
}
