using Zephyros.Core.Goggles;

namespace Zephyros.Web.Contracts;

/// <summary>Something that goggles can show.</summary>
/// <param name="Shows">What.</param>
/// <param name="Words">In words.</param>
public sealed record GogglesSubjectView(GogglesSubject Shows, string Words);
