using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Web.Start;

/// <summary>Tells the OpenAPI document what the converters of setups write: quantities are numbers, orders are four letters.</summary>
internal static class OpenApiQuantities
{
    /// <summary>Adds the knowledge to the document's options.</summary>
    public static void Describe(OpenApiOptions options) =>
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                // A list of quantities is described before its items are looked at.
                if (context.JsonTypeInfo.ElementType is { } element && BareType(element) is { } item)
                    schema.Items = new OpenApiSchema { Type = item };
                var type = Nullable.GetUnderlyingType(context.JsonTypeInfo.Type) ?? context.JsonTypeInfo.Type;
                if (BareType(type) is { } bare)
                {
                    var nullable = type != context.JsonTypeInfo.Type;
                    schema.Type = nullable ? bare | JsonSchemaType.Null : bare;
                }

                return Task.CompletedTask;
            }
        );

    private static JsonSchemaType? BareType(Type type)
    {
        if (type == typeof(ChannelNumber))
            return JsonSchemaType.Integer;
        if (type == typeof(StickOrder))
            return JsonSchemaType.String;
        return QuantityJsonConverter.IsQuantity(type) ? JsonSchemaType.Number : null;
    }
}
