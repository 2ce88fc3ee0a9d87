using Zephyros.Core.Hands;

namespace Zephyros.Core.Model.Running;

/// <summary>Where everything lies in the memory of a compiled model: registers for values, cells for what runs in time.</summary>
internal sealed class PlanLayout
{
    private readonly Dictionary<string, int> controls;
    private readonly Dictionary<string, int> sensors;
    private readonly Dictionary<string, int> chains;
    private readonly Dictionary<string, int> conditions;

    public PlanLayout(Transmitter transmitter, TransmitterModel model)
    {
        Controls = transmitter.Listed;
        Sensors = [.. model.Sensors.OrderBy(s => s.Key, StringComparer.Ordinal)];
        Conditions = [.. model.Conditions.Keys.Order(StringComparer.Ordinal)];
        States = model.StatesByPriority();
        controls = Places(Controls.Select(c => c.Key));
        FirstSensor = RegisterCount;
        sensors = Places(Sensors.Select(s => s.Key));
        chains = Places(model.Channels.Keys.Order(StringComparer.Ordinal));
        conditions = Places(Conditions);
        StateRegister = RegisterCount++;
    }

    public IReadOnlyList<KeyValuePair<string, Control>> Controls { get; }

    public IReadOnlyList<KeyValuePair<string, Sensor>> Sensors { get; }

    public IReadOnlyList<string> Conditions { get; }

    public IReadOnlyList<KeyValuePair<string, FlightState>> States { get; }

    public int FirstSensor { get; }

    public int StateRegister { get; }

    public int RegisterCount { get; private set; }

    public int CellCount { get; private set; }

    /// <summary>The register of a control, which is its place among the controls, or -1.</summary>
    public int ControlIndex(string id) => controls.GetValueOrDefault(id, -1);

    public int SensorRegister(string id) => sensors[id];

    public int ChainRegister(string id) => chains[id];

    public int ConditionRegister(string id) => conditions[id];

    public int StateNumber(string id) => States.Select(s => s.Key).ToList().IndexOf(id);

    public int Registers(int count)
    {
        RegisterCount += count;
        return RegisterCount - count;
    }

    public int Cells(int count)
    {
        CellCount += count;
        return CellCount - count;
    }

    private Dictionary<string, int> Places(IEnumerable<string> ids) =>
        ids.ToDictionary(id => id, _ => RegisterCount++, StringComparer.Ordinal);
}
