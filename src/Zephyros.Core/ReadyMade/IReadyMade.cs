using Zephyros.Core.Setups;

namespace Zephyros.Core.ReadyMade;

/// <summary>A chain that the trade builds again and again. It inserts ordinary steps, conditions and overrides, which can be edited
/// afterwards like any other. One of them is one class in one file.</summary>
public interface IReadyMade
{
    /// <summary>Its id, as it stands in addresses.</summary>
    string Id { get; }

    /// <summary>What it makes, in a few words.</summary>
    string Title { get; }

    /// <summary>What it is for and what to know before using it.</summary>
    string Purpose { get; }

    /// <summary>What it needs to know, with the defaults that fit a setup.</summary>
    IReadOnlyList<Parameter> Parameters(Setup setup);

    /// <summary>Builds it into a copy of a setup.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="wanted">The arguments; problems with them are noted there.</param>
    /// <returns>The setup with it, and what was worked out; null when an argument is wrong.</returns>
    Built? Build(Setup setup, Arguments wanted);
}
