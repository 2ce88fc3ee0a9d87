using Zephyros.Core.Air;

namespace Zephyros.Web.Contracts;

/// <summary>A radio system to choose from.</summary>
/// <param name="Profile">The system.</param>
/// <param name="Own">True when the pilot has written it down; false when it comes with the program.</param>
public sealed record LinkProfileView(LinkProfile Profile, bool Own);
