using System.ComponentModel.DataAnnotations;

namespace Zephyros.Web.Contracts;

/// <summary>Keeps the link of a setup as a radio system to choose from.</summary>
/// <param name="Name">What the system is called.</param>
public sealed record KeepProfileRequest([property: StringLength(40, MinimumLength = 1)] string Name);
