namespace Zephyros.Core.Model.Speech;

/// <summary>What is spoken first when several things wait, the first first.</summary>
/// <remarks>Common practice, no source: alarm, refusal, change, value.</remarks>
public enum SpeechRank
{
    /// <summary>A reading or the lost signal set it off: it ends what is just being said.</summary>
    Alarm,

    /// <summary>What the pilot must know: a refusal with its reason, a reminder, the call of a timer.</summary>
    Notice,

    /// <summary>The craft does something else now.</summary>
    Change,

    /// <summary>A reading that a switch or a button asks for. When its turn comes and nobody asks any more, it is not said.</summary>
    Value,
}
