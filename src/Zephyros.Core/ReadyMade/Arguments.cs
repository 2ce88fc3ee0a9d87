using System.Globalization;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;

namespace Zephyros.Core.ReadyMade;

/// <summary>What a pilot filled in for a ready-made chain. Reading notes what is wrong, with the parameter's name as its place.</summary>
public sealed class Arguments
{
    private readonly Setup setup;
    private readonly Dictionary<string, Parameter> parameters;
    private readonly IReadOnlyDictionary<string, string> given;
    private readonly List<SetupProblem> problems = [];

    /// <summary>Takes the arguments for a chain.</summary>
    /// <param name="setup">The setup that it is for.</param>
    /// <param name="chain">The chain.</param>
    /// <param name="given">The values by the parameter's name; a missing one stands at its default.</param>
    public Arguments(Setup setup, IReadyMade chain, IReadOnlyDictionary<string, string> given)
    {
        (this.setup, this.given) = (setup, given);
        parameters = chain.Parameters(setup).ToDictionary(p => p.Name, StringComparer.Ordinal);
        foreach (var name in given.Keys.Where(n => !parameters.ContainsKey(n)).Order(StringComparer.Ordinal))
            problems.Add(new($"/{name}", $"\"{name}\" is not asked for; the parameters are {Names()}."));
    }

    /// <summary>What is wrong with them; empty when all that was read is right.</summary>
    public IReadOnlyList<SetupProblem> Problems => problems;

    /// <summary>Notes that an argument does not do.</summary>
    public void Refuse(string name, string reason) => problems.Add(new($"/{name}", reason));

    /// <summary>One of the options of a choice, control or channel; empty when that is allowed and nothing was chosen.</summary>
    public string Option(string name)
    {
        var value = Text(name);
        if (value.Length == 0 && parameters[name].Optional)
            return "";
        if (parameters[name].Options.All(o => o.Value != value))
            Refuse(name, $"\"{value}\" cannot be chosen for {parameters[name].Label}.");
        return value;
    }

    /// <summary>A number within the parameter's range; NaN when there is none.</summary>
    public double Number(string name)
    {
        if (!TryNumber(Text(name), out var value))
        {
            Refuse(name, $"{parameters[name].Label} wants a number, not \"{Text(name)}\".");
            return double.NaN;
        }

        var (low, high) = (parameters[name].Minimum, parameters[name].Maximum);
        if (value < low || value > high)
            Refuse(
                name,
                $"{parameters[name].Label} must be {low} to {high} {parameters[name].Unit}, not {value}.".Replace(
                    "  ",
                    " ",
                    StringComparison.Ordinal
                )
            );
        return value;
    }

    /// <summary>So many numbers.</summary>
    public IReadOnlyList<double> Numbers(string name, int count)
    {
        var words = Text(name).Split([' ', ',', ';'], StringSplitOptions.RemoveEmptyEntries);
        var values = new List<double>();
        foreach (var word in words)
        {
            if (TryNumber(word, out var value) && Math.Abs(value) <= 150)
                values.Add(value);
            else
                Refuse(name, $"\"{word}\" is no number from -150 to +150.");
        }

        if (words.Length != count)
            Refuse(name, $"{parameters[name].Label}: {count} values are needed, not {words.Length}.");
        return values;
    }

    /// <summary>A control with some of its positions; null when that is allowed and nothing was chosen, or when it is wrong.</summary>
    public ControlPositions? Positions(string name)
    {
        var value = Text(name);
        if (value.Length == 0)
        {
            if (!parameters[name].Optional)
                Refuse(name, $"{parameters[name].Label}: choose a control and its positions.");
            return null;
        }

        var (id, list) = (
            value.Split(':')[0],
            value.Contains(':', StringComparison.Ordinal) ? value.Split(':')[1] : ""
        );
        if (!setup.Transmitter.Controls.TryGetValue(id, out var control))
        {
            Refuse(name, $"{setup.Transmitter.Name} has no control \"{id}\".");
            return null;
        }

        var known = control.NamedPositions.Select(p => (int)p.Setting).ToHashSet();
        var positions = new List<int>();
        foreach (var word in list.Split(',', StringSplitOptions.RemoveEmptyEntries))
        {
            if (
                int.TryParse(word, NumberStyles.None, CultureInfo.InvariantCulture, out var position)
                && known.Contains(position)
            )
                positions.Add(position);
            else
                Refuse(name, $"{control.Name} has no position \"{word}\".");
        }

        if (positions.Count == 0)
            Refuse(name, $"{parameters[name].Label}: choose at least one position of {control.Name}.");
        else if (positions.Count == known.Count)
            Refuse(name, $"{parameters[name].Label}: with every position of {control.Name} it would never end.");
        return new ControlPositions(id, [.. positions.Order()]);
    }

    private string Text(string name) =>
        (given.TryGetValue(name, out var value) ? value : parameters[name].Default).Trim();

    private string Names() => string.Join(", ", parameters.Keys);

    // The typographic minus is what the pages show, so it must be readable too.
    private static bool TryNumber(string text, out double value) =>
        double.TryParse(
            text.Replace('−', '-'),
            NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint,
            CultureInfo.InvariantCulture,
            out value
        );
}
