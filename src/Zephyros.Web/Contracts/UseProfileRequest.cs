using System.ComponentModel.DataAnnotations;

namespace Zephyros.Web.Contracts;

/// <summary>Sets the link up from a radio system.</summary>
/// <param name="Profile">The id of the profile.</param>
/// <param name="Mode">The place of the mode in it, 0 for the first.</param>
public sealed record UseProfileRequest(
    [property: StringLength(40, MinimumLength = 1)] string Profile,
    [property: Range(0, 19)] int Mode
);
