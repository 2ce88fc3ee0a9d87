using System.ComponentModel.DataAnnotations;

namespace Zephyros.Web.Contracts;

/// <summary>What the pilot calls a revision.</summary>
/// <param name="Name">The name; empty to take it back.</param>
public sealed record NameRequest([property: StringLength(60)] string Name);
