using System.Security.Cryptography;

namespace Zephyros.Web.Guards;

/// <summary>Sends the headers that keep a page to this server's own scripts, styles and connections.</summary>
internal sealed class SecurityHeaders(RequestDelegate next)
{
    private const string NonceKey = "csp-nonce";

    /// <summary>The nonce of this request: style elements that the interface's own library makes carry it.</summary>
    public static string NonceOf(HttpContext context) => (string)context.Items[NonceKey]!;

    public Task InvokeAsync(HttpContext context)
    {
        var nonce = Convert.ToBase64String(RandomNumberGenerator.GetBytes(16));
        context.Items[NonceKey] = nonce;
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy =
            $"default-src 'none'; script-src 'self'; style-src 'self' 'nonce-{nonce}'; font-src 'self'; img-src 'self' data:; "
            + "connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        return next(context);
    }
}
