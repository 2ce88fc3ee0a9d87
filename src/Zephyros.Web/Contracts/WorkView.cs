using Zephyros.Core.Work;

namespace Zephyros.Web.Contracts;

/// <summary>What remains to be done on a craft.</summary>
/// <param name="Revision">The revision that it is derived from.</param>
/// <param name="Running">True while the proof goes on, so that it may still change by itself.</param>
/// <param name="Work">The steps.</param>
public sealed record WorkView(int Revision, bool Running, WorkList Work);
