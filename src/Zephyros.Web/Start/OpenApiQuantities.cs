using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Units;

namespace Zephyros.Web.Start;

/// <summary>Tells the OpenAPI document what the converters of setups write: quantities are numbers, orders are four letters.</summary>
internal static class OpenApiQuantities
{
    /// <summary>Adds the knowledge to the document's options.</summary>
    public static void Describe(OpenApiOptions options)
    {
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                MendTests(document);
                MendQuantities(document);
                MendEnumerations(document);
                return Task.CompletedTask;
            }
        );
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                // A collection of quantities is described before its items are looked at.
                if (context.JsonTypeInfo.ElementType is { } element && Bare(element) is { } item)
                {
                    if (context.JsonTypeInfo.Kind == JsonTypeInfoKind.Dictionary)
                        schema.AdditionalProperties = new OpenApiSchema { Type = item };
                    else
                        schema.Items = new OpenApiSchema { Type = item };
                }

                schema.Type = Bare(context.JsonTypeInfo.Type) ?? schema.Type;
                MoveRange(schema);
                SayWhatIsSent(schema, context.JsonTypeInfo);
                return Task.CompletedTask;
            }
        );
    }

    // Whether a member may be null is said at the member, and nothing about the enumeration, which others use too.
    private static void MendEnumerations(OpenApiDocument document)
    {
        foreach (var schema in document.Components?.Schemas?.Values.OfType<OpenApiSchema>() ?? [])
            if (schema.Enum?.Any(IsNull) == true)
            {
                schema.Enum = [.. schema.Enum.Where(value => !IsNull(value))];
                schema.Type &= ~JsonSchemaType.Null;
            }
    }

    private static bool IsNull(JsonNode? value) => value is null || JsonNullSentinel.IsJsonNullSentinel(value);

    // The range of a member that holds several values is the range of each of them.
    private static void MoveRange(OpenApiSchema schema)
    {
        foreach (var member in schema.Properties?.Values.OfType<OpenApiSchema>() ?? [])
        {
            if ((member.Items ?? member.AdditionalProperties) is not OpenApiSchema values)
                continue;
            (values.Minimum, values.Maximum) = (member.Minimum, member.Maximum);
            (member.Minimum, member.Maximum) = (null, null);
        }
    }

    // What is only ever read is worked out by the server, and so always there.
    private static void SayWhatIsSent(OpenApiSchema schema, JsonTypeInfo type)
    {
        foreach (var member in type.Properties.Where(p => p.Set is null && p.Get is not null && !p.IsExtensionData))
            if (schema.Properties?.TryGetValue(member.Name, out var made) == true)
            {
                (schema.Required ??= new HashSet<string>(StringComparer.Ordinal)).Add(member.Name);
                if (!member.IsGetNullable && made is OpenApiSchema { Type: { } kind } plain)
                    plain.Type = kind & ~JsonSchemaType.Null;
            }
    }

    // Tests hold tests; the generator leaves a list empty that it meets inside itself.
    private static void MendTests(OpenApiDocument document)
    {
        foreach (var type in typeof(Test).Assembly.GetTypes().Where(t => t.BaseType == typeof(Test)))
        {
            if (document.Components?.Schemas?.TryGetValue(nameof(Test) + type.Name, out var schema) != true)
                continue;
            foreach (var member in type.GetProperties().Where(p => p.PropertyType == typeof(ImmutableArray<Test>)))
                ((OpenApiSchema)schema!).Properties![JsonNamingPolicy.CamelCase.ConvertName(member.Name)] =
                    new OpenApiSchema
                    {
                        Type = JsonSchemaType.Array,
                        Items = new OpenApiSchemaReference(nameof(Test), document),
                    };
        }
    }

    // A quantity would be everywhere what it is where it is met first: something that may be missing, or lies between two limits.
    private static void MendQuantities(OpenApiDocument document)
    {
        foreach (var type in typeof(Milliseconds).Assembly.GetTypes().Where(QuantityJsonConverter.IsQuantity))
            if (document.Components?.Schemas?.TryGetValue(type.Name, out var schema) == true)
                document.Components.Schemas[type.Name] = new OpenApiSchema
                {
                    Type = BareType(type),
                    Description = schema.Description,
                };
    }

    private static JsonSchemaType? Bare(Type type) =>
        Nullable.GetUnderlyingType(type) is { } inner ? BareType(inner) | JsonSchemaType.Null : BareType(type);

    private static JsonSchemaType? BareType(Type type)
    {
        if (type == typeof(ChannelNumber))
            return JsonSchemaType.Integer;
        if (type == typeof(StickOrder))
            return JsonSchemaType.String;
        return QuantityJsonConverter.IsQuantity(type) ? JsonSchemaType.Number : null;
    }
}
