using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>A setup in the making: what the ready-made chains do to it. Everything that is added gets an id of its own.</summary>
internal sealed class Workshop(Setup setup)
{
    /// <summary>The setup as it stands now.</summary>
    public Setup Setup { get; private set; } = setup;

    /// <summary>The channel that takes the throttle stick, or null when there is none.</summary>
    public static string? ThrottleChannel(Setup setup)
    {
        var stick = setup.Transmitter.StickOf(StickAxis.Throttle);
        return setup
            .Model.Channels.Where(c => c.Value.Take is ControlSource { Control: var id } && id == stick)
            .OrderBy(c => c.Value.Number.Value)
            .Select(c => c.Key)
            .FirstOrDefault();
    }

    /// <summary>The positions of the control that is meant to arm which lie inside the board's arm band, as an argument; empty when unknown.</summary>
    public static string ArmingPositions(Setup setup)
    {
        if (setup.Board.Arm is not { Value: var arm })
            return "";
        var positions = setup.Transmitter.Controls[arm.Control].NamedPositions;
        return positions.Count < 2 ? "" : $"{arm.Control}:{positions[^1].Setting:0}";
    }

    /// <summary>The options of a parameter that names a control.</summary>
    public static IReadOnlyList<Option> Controls(Setup setup, Func<Control, bool> fits) =>
        [.. setup.Transmitter.Listed.Where(c => fits(c.Value)).Select(c => new Option(c.Key, c.Value.Name))];

    /// <summary>The options of a parameter that names a channel.</summary>
    public static IReadOnlyList<Option> Channels(Setup setup) =>
        [
            .. setup
                .Model.Channels.OrderBy(c => c.Value.Number.Value)
                .Select(c => new Option(c.Key, $"{c.Value.Number.Value} {c.Value.Label}")),
        ];

    /// <summary>A condition of this meaning: one that is there already, or a new one.</summary>
    public string Condition(string label, Test test)
    {
        var words = new ModelWords(Setup.Transmitter, Setup.Model);
        var same = Setup
            .Model.Conditions.Where(c => words.Of(c.Value.Test) == words.Of(test))
            .Select(c => c.Key)
            .Order(StringComparer.Ordinal)
            .FirstOrDefault();
        if (same is not null)
            return same;
        var id = FreeId.Of(Slug(label), Setup.Model.Conditions.ContainsKey);
        var condition = new Condition
        {
            Label = label,
            Short = ShortNames.For(label, Setup.Transmitter.ShortNames),
            Test = test,
        };
        Change(m => m with { Conditions = m.Conditions.Add(id, condition) });
        return id;
    }

    /// <summary>Appends steps to a chain, after those that are there. Their orders are given here.</summary>
    public void Append(string channelId, params IEnumerable<(string Id, ChainStep Step)> steps)
    {
        var channel = Setup.Model.Channels[channelId];
        var order = channel.Steps.Count == 0 ? 0 : channel.Steps.Values.Max(s => s.Order);
        foreach (var (name, step) in steps)
        {
            order += 10;
            var id = FreeId.Of(name, channel.Steps.ContainsKey);
            channel = channel with { Steps = channel.Steps.Add(id, step with { Order = order }) };
        }

        Put(channelId, channel);
    }

    /// <summary>Puts a step before all others of a chain.</summary>
    public void Prepend(string channelId, string name, ChainStep step)
    {
        var channel = Setup.Model.Channels[channelId];
        var order = channel.Steps.Count == 0 ? 10 : channel.Steps.Values.Min(s => s.Order) - 10;
        var id = FreeId.Of(name, channel.Steps.ContainsKey);
        Put(channelId, channel with { Steps = channel.Steps.Add(id, step with { Order = order }) });
    }

    /// <summary>Replaces a step of a chain.</summary>
    public void Replace(string channelId, string id, ChainStep step)
    {
        var channel = Setup.Model.Channels[channelId];
        Put(channelId, channel with { Steps = channel.Steps.SetItem(id, step) });
    }

    /// <summary>Forces a channel while a condition holds, before all other overrides of the channel.</summary>
    public void Force(string label, string channelId, string condition, Percent value)
    {
        var others = Setup.Model.OverridesOf(channelId);
        var order = others.Count == 0 ? 10 : others[0].Value.Order - 10;
        var id = FreeId.Of(Slug(label), Setup.Model.Overrides.ContainsKey);
        var forced = new Override
        {
            Label = label,
            Channel = channelId,
            When = condition,
            Value = value,
            Order = order,
        };
        Change(m => m with { Overrides = m.Overrides.Add(id, forced) });
    }

    /// <summary>A new sensor, in the unit of what it measures.</summary>
    /// <param name="label">What it is called.</param>
    /// <param name="subject">What it measures.</param>
    /// <param name="highest">The highest that it can read.</param>
    /// <param name="rests">What the bench reads while nothing is measured; the highest when it is not given.</param>
    public string Sensor(string label, SensorSubject subject, double highest, double? rests = null)
    {
        var id = FreeId.Of(Slug(label), Setup.Model.Sensors.ContainsKey);
        var sensor = new Sensor
        {
            Label = label,
            Measures = subject,
            Unit = subject.Unit(),
            Lowest = new Reading(0),
            Highest = new Reading(highest),
            Bench = new Reading(rests ?? highest),
        };
        Change(m => m with { Sensors = m.Sensors.Add(id, sensor) });
        return id;
    }

    /// <summary>Lets the transmitter say something while a condition holds: an announcement that is there for it already is replaced.</summary>
    public void Announce(string says, string condition, Milliseconds every, SpokenValue? value, string? timer = null)
    {
        var same = Setup
            .Model.Announcements.Where(a => a.Value.When == condition && a.Value.About == AnnouncementSubject.Other)
            .Select(a => a.Key)
            .Order(StringComparer.Ordinal)
            .FirstOrDefault();
        var id = same ?? FreeId.Of(Slug(says), Setup.Model.Announcements.ContainsKey);
        var made = new Announcement
        {
            Says = says,
            About = AnnouncementSubject.Other,
            When = condition,
            Every = every,
            Value = value,
            Timer = timer,
        };
        Change(m => m with { Announcements = m.Announcements.SetItem(id, made) });
    }

    /// <summary>A new timer.</summary>
    public void Time(FlightTimer timer)
    {
        var id = FreeId.Of(Slug(timer.Label), Setup.Model.Timers.ContainsKey);
        Change(m => m with { Timers = m.Timers.Add(id, timer) });
    }

    /// <summary>Replaces a channel.</summary>
    public void Put(string channelId, Channel channel) =>
        Change(m => m with { Channels = m.Channels.SetItem(channelId, channel) });

    private void Change(Func<TransmitterModel, TransmitterModel> change) =>
        Setup = Setup with { Model = change(Setup.Model) };

    private static string Slug(string label) =>
        string.Join('-', label.ToLowerInvariant().Split([' ', ',', '.'], StringSplitOptions.RemoveEmptyEntries));
}
