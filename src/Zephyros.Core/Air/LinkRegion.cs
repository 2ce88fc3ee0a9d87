namespace Zephyros.Core.Air;

/// <summary>A region of the ITU Radio Regulations, Article 5. A region is not a licence: national rules decide the band.</summary>
public enum LinkRegion
{
    /// <summary>Not said.</summary>
    Unknown,

    /// <summary>Europe, Africa, the former USSR, Mongolia, and the Middle East west of and without Iran.</summary>
    One,

    /// <summary>The Americas.</summary>
    Two,

    /// <summary>Iran, the rest of Asia, Oceania.</summary>
    Three,
}
