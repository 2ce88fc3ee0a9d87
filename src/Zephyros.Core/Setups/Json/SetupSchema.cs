using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text.Json.Serialization.Metadata;
using Zephyros.Core.Model;

namespace Zephyros.Core.Setups.Json;

/// <summary>Makes the JSON Schema (draft 2020-12) of a setup document from the types and their attributes.</summary>
public static class SetupSchema
{
    /// <summary>The schema. Its text is published in docs/setup.schema.json; a test keeps the two the same.</summary>
    public static JsonObject Create()
    {
        var exporter = new JsonSchemaExporterOptions
        {
            TreatNullObliviousAsNonNullable = true,
            TransformSchemaNode = Describe,
        };
        var schema = SetupJson.Options.GetJsonSchemaAsNode(typeof(Setup), exporter).AsObject();
        schema.Insert(0, "$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.Insert(1, "title", "Zephyros setup, version 1");
        return schema;
    }

    private static JsonObject Describe(JsonSchemaExporterContext context, JsonNode node)
    {
        var type = context.TypeInfo.Type;
        var schema = node as JsonObject ?? [];
        if (type == typeof(Zephyros.Core.Units.ChannelNumber))
            schema["type"] = "integer";
        else if (QuantityJsonConverter.IsQuantity(type))
            schema["type"] = "number";
        else if (type == typeof(StickOrder))
            schema["type"] = "string";
        // What a converter writes is unknown to the exporter inside a collection: the rules of its values have to stand there.
        if (
            context.TypeInfo is { Kind: var kind and (JsonTypeInfoKind.Dictionary or JsonTypeInfoKind.Enumerable) }
            && context.TypeInfo.ElementType is { } element
            && QuantityJsonConverter.IsQuantity(element)
        )
            schema[kind == JsonTypeInfoKind.Dictionary ? "additionalProperties" : "items"] ??= new JsonObject
            {
                ["type"] = "number",
            };
        foreach (var attribute in context.PropertyInfo?.AttributeProvider?.GetCustomAttributes(true) ?? [])
            Annotate(schema, attribute);
        return schema;
    }

    private static void Annotate(JsonObject schema, object attribute)
    {
        switch (attribute)
        {
            case DescriptionAttribute description:
                schema["description"] = description.Description;
                break;
            // The rules of a member that holds several values are rules for each of them.
            case RangeAttribute when schema["items"] is JsonObject items:
                Annotate(items, attribute);
                break;
            case RangeAttribute when schema["additionalProperties"] is JsonObject values:
                Annotate(values, attribute);
                break;
            case RangeAttribute range:
                schema["minimum"] = JsonSerializer.SerializeToNode(range.Minimum);
                schema["maximum"] = JsonSerializer.SerializeToNode(range.Maximum);
                break;
            case StringLengthAttribute length:
                schema["minLength"] = length.MinimumLength;
                schema["maxLength"] = length.MaximumLength;
                break;
            case RegularExpressionAttribute pattern:
                schema["pattern"] = pattern.Pattern;
                break;
        }
    }
}
