using System.Diagnostics.CodeAnalysis;
using Microsoft.AspNetCore.StaticFiles;
using Microsoft.Extensions.FileProviders;

namespace Zephyros.Web.Start;

/// <summary>Scripts and styles are packed when the interface is built (the plugin in vite.config.ts): a browser that takes a packed one gets it
/// as it lies there.</summary>
internal static class PackedFiles
{
    private const string Assets = "/assets";

    // What is smaller comes first.
    private static readonly (string Coding, string Ending)[] Codings = [("br", ".br"), ("gzip", ".gz")];

    /// <summary>Serves the files of the interface.</summary>
    public static void Use(WebApplication app)
    {
        app.Use(
            (context, next) =>
            {
                if (Choose(context.Request, app.Environment.WebRootFileProvider) is { } ending)
                    context.Request.Path += ending;
                return next(context);
            }
        );
        app.UseStaticFiles(
            new StaticFileOptions { ContentTypeProvider = new InnerTypes(), OnPrepareResponse = Prepare }
        );
    }

    private static string? Choose(HttpRequest request, IFileProvider files)
    {
        if (!request.Path.StartsWithSegments(Assets, StringComparison.Ordinal))
            return null;
        var accepted = request.GetTypedHeaders().AcceptEncoding;
        return Codings
            .Where(c => accepted.Any(a => a.Value == c.Coding && a.Quality is not 0))
            .Select(c => c.Ending)
            .FirstOrDefault(ending => files.GetFileInfo(request.Path + ending).Exists);
    }

    private static void Prepare(StaticFileResponseContext file)
    {
        var headers = file.Context.Response.Headers;
        if (!file.Context.Request.Path.StartsWithSegments(Assets, StringComparison.Ordinal))
        {
            headers.CacheControl = "no-cache";
            return;
        }

        // The bundler puts a hash of the contents into these names.
        headers.CacheControl = "public, max-age=31536000, immutable";
        headers.Vary = "Accept-Encoding";
        if (Packed(file.File.Name) is { } coding)
            headers.ContentEncoding = coding;
    }

    private static string? Packed(string name) =>
        Codings.FirstOrDefault(c => name.EndsWith(c.Ending, StringComparison.Ordinal)).Coding;

    // A packed file is of the kind of what is in it.
    private sealed class InnerTypes : IContentTypeProvider
    {
        private readonly FileExtensionContentTypeProvider types = new();

        public bool TryGetContentType(string subpath, [MaybeNullWhen(false)] out string contentType) =>
            types.TryGetContentType(
                Packed(subpath) is null ? subpath : Path.ChangeExtension(subpath, null),
                out contentType
            );
    }
}
