using System.Globalization;
using System.Net;
using System.Security.Cryptography.X509Certificates;
using System.Xml.Linq;
using Circuitum.Formats.Dxf;
using Circuitum.Storage;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Circuitum.Web.Stages;
using Circuitum.Web.Supply;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Diagnostics.HealthChecks;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Diagnostics.HealthChecks;
using Serilog;
using Serilog.Events;

namespace Circuitum.Web.Work;

/// <summary>Puts the application together.</summary>
public static class App
{
    /// <summary>Most bytes that a request may bring: the largest file that is read, a drawing, and a little more.</summary>
    public const long MostRequestBytes = DxfReader.MostBytes + 200_000;

    /// <summary>Most bytes of an archive that the list of jobs takes: a thousand photographs.</summary>
    public const long MostArchiveBytes = 300_000_000;

    // The names under which this machine reaches itself; a page elsewhere that points its own name here gets no answer.
    private static readonly string[] OwnNames = ["127.0.0.1", "localhost", "[::1]"];

    private const long MostLogBytes = 5_000_000;
    private const int LogFiles = 4;

    /// <summary>Runs until stopped. <c>--port N</c> and <c>--data DIR</c> choose the port and the data directory.</summary>
    /// <returns>0, or 2 with a sentence on the error output when it cannot start.</returns>
    public static async Task<int> RunAsync(string[] args)
    {
        try
        {
            return await ServeAsync(args);
        }
        catch (StoreException e)
        {
            return Refuse(e.Message);
        }
        catch (IOException e) when (e.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
        {
            return Refuse("That port is taken by another program. Choose another one with --port.");
        }
        catch (System.Net.Sockets.SocketException e)
        {
            return Refuse($"That port cannot be listened on: {e.Message}. Choose another one with --port.");
        }
    }

    private static int Refuse(string sentence)
    {
        Console.Error.WriteLine(sentence);
        return 2;
    }

    private static async Task<int> ServeAsync(string[] args)
    {
        var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
        if (
            !int.TryParse(builder.Configuration["port"] ?? "5180", NumberStyles.None, CultureInfo.InvariantCulture, out var port)
            || port is < 1 or > 65_535
        )
            return Refuse($"--port: '{builder.Configuration["port"]}' is not a port from 1 to 65535.");
        var directory = Path.GetFullPath(builder.Configuration["data"] is { Length: > 0 } told ? told : "data");
        using var held = StoreLock.Take(directory);
        Log(builder, directory);

        // What is listened on is decided here and nowhere else: this machine, and what --listen says, over HTTPS and with accounts.
        // Addresses from the environment or a settings file open nothing.
        var keys = Path.Combine(directory, "keys");
        SetAsideDamaged(keys);
        var listening = Listening.Of(builder.Configuration, keys);
        if (listening.Problem.Length > 0)
            return Refuse(listening.Problem);
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.Configure(new ConfigurationBuilder().Build());
            k.Listen(IPAddress.Loopback, port);
            if (listening.Address is { } elsewhere)
                k.Listen(elsewhere, listening.Port, o => o.UseHttps(listening.Certificate!));
            k.Limits.MaxRequestBodySize = MostRequestBytes;
            Crowd.Bound(k.Limits);
            k.AddServerHeader = false;
        });
        builder.Services.AddHostFiltering(o => o.AllowedHosts = [.. OwnNames, .. listening.Names]);
        builder.Services.AddDataProtection().PersistKeysToFileSystem(new DirectoryInfo(keys));
        Accounts.Add(builder, directory, listening.Address is not null);
        builder.Services.AddRazorPages(o =>
        {
            o.Conventions.AddPageRoute("/Field/TrainerPage", "/practice");
            PanelsOnly.Guard(o.Conventions);
        });
        builder.Services.Configure<RouteOptions>(o => o.ConstraintMap["stage"] = typeof(StageConstraint));
        builder.Services.AddOpenApi(o =>
            o.AddDocumentTransformer(
                (document, _, _) =>
                {
                    document.Info.Title = "Circuitum bench";
                    document.Info.Description =
                        "Quick answers without a job, each with its steps and citations. A planning aid: the local authority "
                        + "and licensed practice decide.";
                    document.Servers = [];
                    return Task.CompletedTask;
                }
            )
        );
        builder.Services.AddAntiforgery(o => o.HeaderName = "X-Form-Token");
        builder.Services.Configure<FormOptions>(o =>
        {
            o.MultipartBodyLengthLimit = MostRequestBytes;
            o.ValueCountLimit = 1000;
        });
        builder.Services.AddHttpContextAccessor();
        Crowd.Add(builder.Services);
        var accessor = new HttpContextAccessor();
        var desk = new JobDesk(directory, () => accessor.HttpContext is { } asked ? Roles.NameOf(asked.User) : "");
        builder.Services.AddSingleton(desk);
        builder.Services.AddSingleton(new FieldDesk(directory, desk));
        builder.Services.AddSingleton<FinderDesk>();
        builder.Services.AddSingleton<PracticeHouses>();
        builder.Services.AddSingleton(s => new PhotoDesk(directory, s.GetRequiredService<FieldDesk>()));
        if (Supplier(builder, directory) is { } wrong)
            return Refuse(wrong);
        builder.Services.AddSingleton(TimeProvider.System);
        builder.Services.AddSingleton(s => new BackupDesk(
            directory,
            builder.Configuration,
            s.GetRequiredService<TimeProvider>(),
            s.GetRequiredService<ILogger<BackupDesk>>()
        ));
        builder.Services.AddHostedService(s => s.GetRequiredService<BackupDesk>());
        builder.Services.AddSingleton<WorkQueue>();
        builder.Services.AddSingleton<DrawingTray>();
        builder.Services.AddSingleton<PriceTray>();
        builder.Services.AddSingleton<DrawnPlans>();
        builder.Services.AddSingleton<Notes>();
        builder.Services.AddHealthChecks().AddCheck<DatabaseHealth>("database");
        builder.Services.AddExceptionHandler<Faults>();
        var app = builder.Build();
        await desk.PrepareAsync();
        app.UseHostFiltering();
        app.Use(Fences.Marked);
        app.UseExceptionHandler("/problem");
        app.UseStatusCodePagesWithReExecute("/problem", "?status={0}");
        app.Use(Fences.Lawful);

        // Modules import each other by plain names: a browser asks each time whether they are still the same.
        app.UseStaticFiles(new StaticFileOptions { OnPrepareResponse = c => c.Context.Response.Headers.CacheControl = "no-cache" });
        app.UseRouting();
        app.UseAuthentication();
        app.UseRateLimiter();
        app.UseRequestTimeouts();
        app.UseAuthorization();
        app.MapRazorPages();
        app.MapHealthChecks(
                "/health",
                new HealthCheckOptions
                {
                    ResponseWriter = (context, report) =>
                        context.Response.WriteAsync(report.Status == HealthStatus.Healthy ? "ok" : "the database does not answer"),
                }
            )
            .AllowAnonymous();
        Downloads.Map(app);
        Archives.Map(app, directory);
        JobChanges.Map(app);
        Pictures.Map(app);
        Previews.Map(app);
        BenchApi.Map(app);
        MaterialApi.Map(app);
        FieldApi.Map(app);
        PhotoApi.Map(app);
        app.MapPost("/sign-out", async (HttpContext context, IAntiforgery tokens, SignInManager<Account> door) =>
            {
                if (!await tokens.IsRequestValidAsync(context))
                    return Results.BadRequest();
                await door.SignOutAsync();
                return Results.Redirect("/sign-in");
            })
            .AllowAnonymous();
        if (app.Services.GetService<MadeUpCounter>() is { } counter)
            CounterApi.Map(app, counter);
        await app.StartAsync();
        Console.WriteLine($"Circuitum is at {app.Urls.FirstOrDefault(u => u.Contains("127.0.0.1")) ?? $"http://127.0.0.1:{port}"}");
        if (listening is { Address: not null, Certificate: { } certificate })
            Tell(app, listening, certificate);
        await app.WaitForShutdownAsync();
        return 0;
    }

    private static void Tell(WebApplication app, Listening listening, X509Certificate2 certificate)
    {
        var reach = app.Services.GetRequiredService<Reach>();
        reach.Address = $"https://{listening.Names[0]}:{listening.Port}";
        (reach.Fingerprint, reach.Authority) = (MachineCertificate.FingerprintOf(certificate), listening.Authority);
        Console.WriteLine($"Phones find it at {reach.Address}. Fingerprint of its certificate: {reach.Fingerprint}");
    }

    // Orders go to the made-up counter in this program, or to one that is told with --counter and answers on this machine.
    private static string? Supplier(WebApplicationBuilder builder, string directory)
    {
        var told = builder.Configuration["counter"];
        if (string.IsNullOrEmpty(told))
        {
            var counter = new MadeUpCounter(directory);
            builder.Services.AddSingleton(counter);
            builder.Services.AddSingleton<ISupplierCounter>(counter);
        }
        else if (Uri.TryCreate(told, UriKind.Absolute, out var address) && address.IsLoopback && address.Scheme == Uri.UriSchemeHttp)
            builder.Services.AddSingleton<ISupplierCounter>(new HttpCounter(address, "the counter on this machine"));
        else
            return $"--counter: '{told}' is not an address of this machine, such as http://127.0.0.1:5190/counter/orders.";
        builder.Services.AddSingleton(s => new SupplyDesk(
            directory,
            s.GetRequiredService<ISupplierCounter>(),
            s.GetRequiredService<ILogger<SupplyDesk>>()
        ));
        builder.Services.AddHostedService<OrderOffice>();
        return null;
    }

    // To the console and to files that take each other's place; what is in a job never comes into them.
    private static void Log(WebApplicationBuilder builder, string directory) =>
        builder.Services.AddSerilog(log =>
            log.MinimumLevel.Warning()
                .MinimumLevel.Override("Microsoft.AspNetCore.DataProtection", LogEventLevel.Error)
                .MinimumLevel.Override("Microsoft.AspNetCore.Diagnostics.ExceptionHandlerMiddleware", LogEventLevel.Fatal)
                .WriteTo.Console(formatProvider: CultureInfo.InvariantCulture)
                .WriteTo.File(
                    Path.Combine(directory, "logs", "circuitum.log"),
                    formatProvider: CultureInfo.InvariantCulture,
                    fileSizeLimitBytes: MostLogBytes,
                    rollOnFileSizeLimit: true,
                    retainedFileCountLimit: LogFiles
                )
        );

    // A key that cannot be read would break every form; put aside, a new one is made.
    private static void SetAsideDamaged(string directory)
    {
        if (!Directory.Exists(directory))
            return;
        foreach (var file in Directory.GetFiles(directory, "*.xml"))
        {
            try
            {
                if (XDocument.Load(file).Root?.Name.LocalName is "key" or "revocation")
                    continue;
            }
            catch (System.Xml.XmlException) { }

            File.Move(file, file + ".damaged", overwrite: true);
        }
    }
}
