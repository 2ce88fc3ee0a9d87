using Zephyros.Core.Flights;

namespace Zephyros.Web.Flights;

/// <summary>A map of an alarm on the shelf, or on its way.</summary>
/// <param name="alarm">The alarm.</param>
/// <param name="work">The work that makes it.</param>
internal sealed class ShelvedMap(Alarm alarm, LongWork<AlarmMap> work) : IDisposable
{
    /// <summary>Its id.</summary>
    public string Id { get; } = Guid.NewGuid().ToString("N");

    /// <summary>The alarm.</summary>
    public Alarm Alarm => alarm;

    /// <summary>The work that makes it.</summary>
    public LongWork<AlarmMap> Work => work;

    /// <inheritdoc />
    public void Dispose() => work.Dispose();
}
