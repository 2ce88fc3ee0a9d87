using System.ComponentModel.DataAnnotations;

namespace Zephyros.Web.Contracts;

/// <summary>What the pilot decides about a promise.</summary>
/// <param name="On">False to switch it off.</param>
/// <param name="Note">Why it is kept as it is or switched off; empty to take the decision back.</param>
public sealed record PromiseRequest(bool On, [property: StringLength(400)] string Note);
