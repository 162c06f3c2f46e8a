using System.Net;
using Circuitum.Formats.Dxf;
using Circuitum.Storage;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Http.Features;

namespace Circuitum.Web.Work;

/// <summary>Puts the application together.</summary>
public static class App
{
    /// <summary>Most bytes that a request may bring: the largest file that is read, a drawing, and a little more.</summary>
    private const long MostRequestBytes = DxfReader.MostBytes + 200_000;

    private const string Policy = "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self' data:; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    /// <summary>Runs until stopped. <c>--port N</c> and <c>--data DIR</c> choose the port and the data directory.</summary>
    public static async Task<int> RunAsync(string[] args)
    {
        var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
        builder.Logging.SetMinimumLevel(LogLevel.Warning);
        var port = builder.Configuration.GetValue("port", 5180);

        // Only this machine is listened to: there are no accounts.
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.Listen(IPAddress.Loopback, port);
            k.Limits.MaxRequestBodySize = MostRequestBytes;
            k.AddServerHeader = false;
        });
        var directory = builder.Configuration["data"] ?? "data";
        builder.Logging.AddFilter("Microsoft.AspNetCore.DataProtection", LogLevel.Error);
        builder.Services.AddDataProtection().PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(Path.GetFullPath(directory), "keys")));
        builder.Services.AddRazorPages();
        builder.Services.AddOpenApi(o => o.AddDocumentTransformer((document, _, _) =>
        {
            document.Info.Title = "Circuitum bench";
            document.Info.Description = "Quick answers without a job, each with its steps and citations. A planning aid: the local authority and licensed practice decide.";
            document.Servers = [];
            return Task.CompletedTask;
        }));
        builder.Services.AddAntiforgery(o => o.HeaderName = "X-Form-Token");
        builder.Services.Configure<FormOptions>(o =>
        {
            o.MultipartBodyLengthLimit = MostRequestBytes;
            o.ValueCountLimit = 1000;
        });
        builder.Services.AddSingleton(new JobDesk(directory));
        builder.Services.AddSingleton<DrawingTray>();
        builder.Services.AddSingleton<DrawnPlans>();
        var app = builder.Build();
        await app.Services.GetRequiredService<JobDesk>().PrepareAsync();
        app.Use(async (context, next) =>
        {
            var h = context.Response.Headers;
            h.ContentSecurityPolicy = Policy;
            h.XContentTypeOptions = "nosniff";
            h["Referrer-Policy"] = "same-origin";
            await next(context);
        });
        app.UseExceptionHandler("/problem");
        app.UseStatusCodePagesWithReExecute("/problem", "?status={0}");
        // Modules import each other by plain names: a browser asks each time whether they are still the same.
        app.UseStaticFiles(new StaticFileOptions { OnPrepareResponse = c => c.Context.Response.Headers.CacheControl = "no-cache" });
        app.MapRazorPages();
        app.MapGet("/health", () => "ok");
        Downloads.Map(app);
        Pictures.Map(app);
        BenchApi.Map(app);
        await app.StartAsync();
        Console.WriteLine($"Circuitum is at {app.Urls.FirstOrDefault() ?? $"http://127.0.0.1:{port}"}");
        await app.WaitForShutdownAsync();
        return 0;
    }
}
