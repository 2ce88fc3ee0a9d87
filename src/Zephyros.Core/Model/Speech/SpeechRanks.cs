namespace Zephyros.Core.Model.Speech;

/// <summary>Tells how urgent an announcement is, by what it tells and what sets it off.</summary>
public static class SpeechRanks
{
    /// <summary>The rank of an announcement of a model.</summary>
    /// <param name="graph">What depends on what in the model.</param>
    /// <param name="made">The announcement.</param>
    public static SpeechRank Of(ModelGraph graph, Announcement made) =>
        made.About switch
        {
            AnnouncementSubject.SignalLost => SpeechRank.Alarm,
            AnnouncementSubject.Armed
            or AnnouncementSubject.Disarmed
            or AnnouncementSubject.SignalBack
            or AnnouncementSubject.Mode => SpeechRank.Change,
            AnnouncementSubject.Other => FollowsReading(graph, made) ? SpeechRank.Alarm
            : made is { Value: null, Timer: null } ? SpeechRank.Notice
            : SpeechRank.Value,
        };

    private static bool FollowsReading(ModelGraph graph, Announcement made) =>
        made.When is { } when
        && graph.Behind(new ModelNode(NodeKind.Condition, when)).Any(n => n.Kind == NodeKind.Sensor);
}
