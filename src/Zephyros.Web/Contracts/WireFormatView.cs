using Zephyros.Core.Wire;

namespace Zephyros.Web.Contracts;

/// <summary>A wire format to choose.</summary>
/// <param name="Format">Which.</param>
/// <param name="Wire">Its facts.</param>
public sealed record WireFormatView(WireFormat Format, WireDescriptor Wire)
{
    /// <summary>A format with its facts.</summary>
    public static WireFormatView Of(WireFormat format) => new(format, format.Describe());
}
