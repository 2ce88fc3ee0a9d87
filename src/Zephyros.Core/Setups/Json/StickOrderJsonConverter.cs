using System.Text.Json;
using System.Text.Json.Serialization;
using Zephyros.Core.Model;

namespace Zephyros.Core.Setups.Json;

/// <summary>Writes an order as its four letters.</summary>
public sealed class StickOrderJsonConverter : JsonConverter<StickOrder>
{
    /// <inheritdoc />
    public override StickOrder Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        var text = reader.TokenType == JsonTokenType.String ? reader.GetString() : null;
        return StickOrder.TryParse(text, out var order, out var problem) ? order : throw new JsonException(problem);
    }

    /// <inheritdoc />
    public override void Write(Utf8JsonWriter writer, StickOrder value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.ToString());
}
