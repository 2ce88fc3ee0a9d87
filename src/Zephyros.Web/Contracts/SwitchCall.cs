namespace Zephyros.Web.Contracts;

/// <summary>Switches something on or off.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="On">True for on.</param>
public sealed record SwitchCall(string Setup, bool On);
