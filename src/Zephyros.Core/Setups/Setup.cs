using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Goggles;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Setups;

/// <summary>Everything that is decided for one craft, from the hands to the board: one document, collections keyed by id.</summary>
public sealed record Setup
{
    /// <summary>What every setup document says of its format.</summary>
    public const string FormatName = "zephyros-setup";

    /// <summary>The version that this program writes.</summary>
    public const int CurrentVersion = 1;

    /// <summary>Always <see cref="FormatName"/>.</summary>
    [Description("The name of the format.")]
    [RegularExpression("^zephyros-setup$")]
    public required string Format { get; init; }

    /// <summary>The version of the format, <see cref="CurrentVersion"/>.</summary>
    [Description("The version of the format.")]
    [Range(1, 1)]
    public required int Version { get; init; }

    /// <summary>The craft.</summary>
    [Description("The craft.")]
    public required CraftDescription Craft { get; init; }

    /// <summary>The transmitter, as a snapshot.</summary>
    [Description("The transmitter with its controls, as a snapshot.")]
    public required Transmitter Transmitter { get; init; }

    /// <summary>The transmitter's model memory.</summary>
    [Description("The transmitter's model memory for this craft.")]
    public required TransmitterModel Model { get; init; }

    /// <summary>The radio link.</summary>
    [Description("The radio link.")]
    public required LinkSettings Air { get; init; }

    /// <summary>The wire from receiver to board.</summary>
    [Description("The wire from receiver to board.")]
    public required WireSettings Wire { get; init; }

    /// <summary>The board.</summary>
    [Description("The flight controller board.")]
    public required FlightBoard Board { get; init; }

    /// <summary>What the goggles show; null while it is not written down.</summary>
    [Description("What the board draws over the picture in the goggles; without it, it is not written down.")]
    public GogglesSettings? Goggles { get; init; }

    /// <summary>Findings that the pilot keeps on purpose, by the finding's key, each with the reason.</summary>
    [Description("Findings that the pilot keeps on purpose, by the finding's key.")]
    public ImmutableDictionary<string, Justification> Justified { get; init; } =
        ImmutableDictionary<string, Justification>.Empty;

    /// <summary>What the pilot has decided about safety promises, by the promise's code; those without an entry are on.</summary>
    [Description("What the pilot has decided about safety promises, by the promise's code.")]
    public ImmutableDictionary<string, PromiseSetting> Promises { get; init; } =
        ImmutableDictionary<string, PromiseSetting>.Empty;

    /// <summary>Figures that promises are measured against.</summary>
    [Description("Figures that the pilot sets and promises are measured against.")]
    public PilotLimits Limits { get; init; } = new();
}
