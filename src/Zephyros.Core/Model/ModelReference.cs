namespace Zephyros.Core.Model;

/// <summary>One place of a model that names something else.</summary>
/// <param name="Place">Where it stands, as a JSON Pointer into the setup.</param>
/// <param name="Kind">What it names.</param>
/// <param name="Id">The id that it names.</param>
/// <param name="Owner">What it belongs to; see <see cref="ModelNode"/>.</param>
/// <param name="Carries">True when the named thing's value goes on, false when it only decides.</param>
public sealed record ModelReference(string Place, ReferenceKind Kind, string Id, ModelNode Owner, bool Carries);
