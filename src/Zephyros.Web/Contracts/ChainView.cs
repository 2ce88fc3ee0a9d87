using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;

namespace Zephyros.Web.Contracts;

/// <summary>The chain of a channel in words, and its curves as they are drawn.</summary>
/// <param name="Take">The source.</param>
/// <param name="Steps">What each step does in words, by its id.</param>
/// <param name="Curves">The height of each curve at -100, -95 ... +100 %, by the step's id.</param>
public sealed record ChainView(
    string Take,
    IReadOnlyDictionary<string, string> Steps,
    IReadOnlyDictionary<string, IReadOnlyList<double>> Curves
)
{
    private const int Samples = 41;

    /// <summary>The views of all channels of a model, by id.</summary>
    public static IReadOnlyDictionary<string, ChainView> Of(TransmitterModel model, ModelWords words) =>
        model.Channels.ToDictionary(c => c.Key, c => Of(c.Value, words), StringComparer.Ordinal);

    private static ChainView Of(Channel channel, ModelWords words) =>
        new(
            words.Of(channel.Take),
            channel.Steps.ToDictionary(s => s.Key, s => words.Action(s.Value), StringComparer.Ordinal),
            channel
                .Steps.Where(s => s.Value is CurveStep)
                .ToDictionary(s => s.Key, s => Drawn((CurveStep)s.Value), StringComparer.Ordinal)
        );

    private static IReadOnlyList<double> Drawn(CurveStep curve)
    {
        var table = new CurveTable(curve.Points, curve.Smooth);
        return [.. Enumerable.Range(0, Samples).Select(i => Math.Round(table.At(-100 + (i * 5)), 3))];
    }
}
