namespace Zephyros.Core.Symptoms;

/// <summary>How a possible cause of a symptom stands.</summary>
public enum SuspectStanding
{
    /// <summary>The setup as it is written does just this.</summary>
    Shown,

    /// <summary>The setup cannot tell: it must be looked at on the bench.</summary>
    Open,

    /// <summary>The setup as it is written does not do this. The real transmitter or board may still differ from what is written.</summary>
    Unlikely,
}
