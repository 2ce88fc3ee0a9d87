using Zephyros.Core.Model;

namespace Zephyros.Core.Return;

/// <summary>A reading that a search for sensors should find.</summary>
/// <param name="Key">Names it: who measures it and what.</param>
/// <param name="Words">What it is, in words.</param>
/// <param name="Origin">Who measures it.</param>
/// <param name="Sensors">The ids of the model's sensors that read it; empty when none does.</param>
public sealed record ExpectedSensor(string Key, string Words, SensorOrigin Origin, IReadOnlyList<string> Sensors);
