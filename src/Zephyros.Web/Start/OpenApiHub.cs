using System.Reflection;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Zephyros.Web.Bench;

namespace Zephyros.Web.Start;

/// <summary>Tells the OpenAPI document what the live bench may be asked, so that the interface gets its calls from one contract too.</summary>
internal static class OpenApiHub
{
    /// <summary>The schema that has a member for each method of the hub: the contract of its call.</summary>
    public const string Calls = "BenchCalls";

    /// <summary>The methods that clients may call, each with what it takes.</summary>
    public static IEnumerable<(string Name, Type Call)> Methods() =>
        typeof(BenchHub)
            .GetMethods(BindingFlags.Public | BindingFlags.Instance | BindingFlags.DeclaredOnly)
            .Where(m => m.GetBaseDefinition() == m)
            .Select(m => (m.Name, m.GetParameters()[0].ParameterType));

    /// <summary>Adds the calls to the document.</summary>
    public static void Describe(OpenApiOptions options) =>
        options.AddDocumentTransformer(
            async (document, context, cancel) =>
            {
                var calls = new OpenApiSchema
                {
                    Type = JsonSchemaType.Object,
                    Properties = new Dictionary<string, IOpenApiSchema>(StringComparer.Ordinal),
                    Required = new HashSet<string>(StringComparer.Ordinal),
                };
                foreach (var (name, call) in Methods())
                {
                    document.AddComponent(call.Name, await context.GetOrCreateSchemaAsync(call, null, cancel));
                    calls.Properties[name] = new OpenApiSchemaReference(call.Name, document);
                    calls.Required.Add(name);
                }

                document.AddComponent(Calls, calls);
            }
        );
}
