using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Setups.Json;

/// <summary>Writes every quantity as its bare number; the unit stands in the schema's description of the member.</summary>
public sealed class QuantityJsonConverter : JsonConverterFactory
{
    /// <summary>True when <paramref name="type"/> is a quantity.</summary>
    public static bool IsQuantity(Type type) =>
        type.IsValueType
        && Array.Exists(
            type.GetInterfaces(),
            i => i.IsGenericType && i.GetGenericTypeDefinition() == typeof(IQuantity<>)
        );

    /// <inheritdoc />
    public override bool CanConvert(Type typeToConvert) => IsQuantity(typeToConvert);

    /// <inheritdoc />
    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        (JsonConverter)
            Activator.CreateInstance(
                (
                    typeToConvert == typeof(ChannelNumber) ? typeof(WholeConverter<>) : typeof(NumberConverter<>)
                ).MakeGenericType(typeToConvert)
            )!;

    private sealed class NumberConverter<T> : JsonConverter<T>
        where T : struct, IQuantity<T>
    {
        public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            reader.TokenType == JsonTokenType.Number
                ? T.From(reader.GetDouble())
                : throw new JsonException($"A number is wanted here{(T.Symbol.Length > 0 ? " in " + T.Symbol : "")}.");

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WriteNumberValue(value.Value);
    }

    private sealed class WholeConverter<T> : JsonConverter<T>
        where T : struct, IQuantity<T>
    {
        public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            reader.TokenType == JsonTokenType.Number && reader.TryGetInt32(out var number)
                ? T.From(number)
                : throw new JsonException("A whole number is wanted here.");

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WriteNumberValue((int)value.Value);

        // As a key: only as it is written, so that no two keys are the same channel.
        public override T ReadAsPropertyName(
            ref Utf8JsonReader reader,
            Type typeToConvert,
            JsonSerializerOptions options
        )
        {
            var text = reader.GetString();
            return
                int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var number)
                && number.ToString(CultureInfo.InvariantCulture) == text
                ? T.From(number)
                : throw new JsonException($"The number of a channel is wanted here, not \"{text}\".");
        }

        public override void WriteAsPropertyName(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WritePropertyName(((int)value.Value).ToString(CultureInfo.InvariantCulture));
    }
}
