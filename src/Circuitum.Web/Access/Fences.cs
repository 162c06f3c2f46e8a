using Circuitum.Web.Work;
using Microsoft.AspNetCore.Diagnostics;

namespace Circuitum.Web.Access;

/// <summary>What every answer says of itself, and what no request may do.</summary>
public static class Fences
{
    private const string Policy =
        "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self' data: blob:; connect-src "
        + "'self'; worker-src 'self'; manifest-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    /// <summary>What stands on every answer: name and value.</summary>
    public static IReadOnlyList<(string Name, string Value)> Headers { get; } =
    [
        ("Content-Security-Policy", Policy),
        ("X-Content-Type-Options", "nosniff"),
        ("Referrer-Policy", "same-origin"),
        ("Cross-Origin-Opener-Policy", "same-origin"),
        ("Cross-Origin-Resource-Policy", "same-origin"),
        ("Permissions-Policy", "camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=()"),
    ];

    /// <summary>Puts the headers on every answer.</summary>
    public static Task Marked(HttpContext context, RequestDelegate next)
    {
        foreach (var (name, value) in Headers)
            context.Response.Headers[name] = value;
        return next(context);
    }

    /// <summary>Lets through what the pages use, from the pages themselves, and nothing larger than is read.</summary>
    public static Task Lawful(HttpContext context, RequestDelegate next)
    {
        // The page that tells of a refusal is asked for by itself, without what was refused.
        if (context.Features.Get<IStatusCodeReExecuteFeature>() is not null)
        {
            (context.Request.Method, context.Request.ContentLength, context.Request.ContentType) = (HttpMethods.Get, null, null);
            return next(context);
        }

        var method = context.Request.Method;
        if (!HttpMethods.IsGet(method) && !HttpMethods.IsHead(method) && !HttpMethods.IsPost(method))
            context.Response.StatusCode = StatusCodes.Status405MethodNotAllowed;
        else if (context.Request.ContentLength > MostBytes(context.Request))
            context.Response.StatusCode = StatusCodes.Status413PayloadTooLarge;
        else if (HttpMethods.IsPost(method) && !FromHere(context.Request))
        {
            context.Items[Faults.Sentence] = "A change has to come from the program's own pages. Nothing was changed.";
            context.Response.StatusCode = StatusCodes.Status403Forbidden;
        }
        else
            return next(context);
        return Task.CompletedTask;
    }

    // Only what is imported into the list of jobs may be an archive with its pictures.
    private static long MostBytes(HttpRequest request) =>
        request.Path == "/" && request.Query["handler"] == "Import" ? App.MostArchiveBytes : App.MostRequestBytes;

    // A browser says from which page a change comes. What says nothing of it is no browser, and has its form token to show all the same.
    private static bool FromHere(HttpRequest request)
    {
        if (request.Headers["Sec-Fetch-Site"].ToString() is "cross-site" or "same-site")
            return false;
        var origin = request.Headers.Origin.ToString();
        return origin.Length == 0 || origin.Equals($"{request.Scheme}://{request.Host}", StringComparison.OrdinalIgnoreCase);
    }
}
