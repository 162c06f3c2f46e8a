using System.Security.Claims;
using System.Text.Encodings.Web;
using System.Threading.RateLimiting;
using Circuitum.Storage;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;

namespace Circuitum.Web.Access;

/// <summary>Who comes in, and what each may do. What says nothing of itself is the owner's alone.</summary>
internal static class Accounts
{
    /// <summary>The limit of attempts to come in.</summary>
    public const string Attempts = "attempts";

    /// <summary>Fewest letters of a password.</summary>
    public const int ShortestPassword = 10;

    private const string Machine = "machine";
    private const int MostAttempts = 10;

    /// <summary>Sets them up.</summary>
    /// <param name="builder">The application.</param>
    /// <param name="directory">Where the data is.</param>
    /// <param name="needed">Whether the program is reached from elsewhere; else whoever sits at the machine is the owner.</param>
    internal static void Add(WebApplicationBuilder builder, string directory, bool needed)
    {
        var services = builder.Services;
        services.AddDbContext<JobDatabase>(o => o.UseSqlite(JobStore.ConnectionTo(directory)));
        services
            .AddIdentityCore<Account>(o =>
            {
                o.Password.RequiredLength = ShortestPassword;
                (o.Password.RequireDigit, o.Password.RequireUppercase) = (false, false);
                (o.Password.RequireLowercase, o.Password.RequireNonAlphanumeric) = (false, false);
                o.Lockout.MaxFailedAccessAttempts = 5;
                o.Lockout.DefaultLockoutTimeSpan = TimeSpan.FromMinutes(10);
                o.User.AllowedUserNameCharacters = "";
            })
            .AddEntityFrameworkStores<JobDatabase>()
            .AddSignInManager()
            .AddClaimsPrincipalFactory<RoleClaims>();

        // Whom the owner has turned out is out with the next request, not some time later.
        services.Configure<SecurityStampValidatorOptions>(o => o.ValidationInterval = TimeSpan.Zero);
        services.AddSingleton(new Reach(needed));
        services.AddSingleton<Pairing>();

        // Whoever sits at the machine is the owner, as long as nobody else can reach it.
        var schemes = services.AddAuthentication(needed ? IdentityConstants.ApplicationScheme : Machine);
        schemes.AddIdentityCookies();
        schemes.AddScheme<AuthenticationSchemeOptions, MachineHandler>(Machine, null);
        services.ConfigureApplicationCookie(o =>
        {
            o.Cookie.Name = "circuitum";
            o.Cookie.HttpOnly = true;
            o.Cookie.SameSite = SameSiteMode.Lax;
            o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
            o.ExpireTimeSpan = TimeSpan.FromDays(60);
            o.SlidingExpiration = true;
            o.LoginPath = "/sign-in";
            o.ReturnUrlParameter = "back";
            o.Events.OnRedirectToLogin = context => Turned(context, StatusCodes.Status401Unauthorized);
            o.Events.OnRedirectToAccessDenied = context =>
            {
                context.Response.StatusCode = StatusCodes.Status403Forbidden;
                return Task.CompletedTask;
            };
        });
        Roles.AddPolicies(services.AddAuthorizationBuilder());
        services.AddRateLimiter(o =>
        {
            o.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
            o.GlobalLimiter = Crowd.Limited();
            o.OnRejected = Crowd.Turned;
            o.AddPolicy(Attempts, context =>
                HttpMethods.IsPost(context.Request.Method)
                    ? RateLimitPartition.GetFixedWindowLimiter(
                        context.Connection.RemoteIpAddress?.ToString() ?? "",
                        _ => new FixedWindowRateLimiterOptions { PermitLimit = MostAttempts, Window = TimeSpan.FromMinutes(1) }
                    )
                    : RateLimitPartition.GetNoLimiter("asks")
            );
        });
    }

    // A person is led to the page where one signs in; a program of a page is told so.
    private static Task Turned(RedirectContext<Microsoft.AspNetCore.Authentication.Cookies.CookieAuthenticationOptions> context, int status)
    {
        if (
            HttpMethods.IsGet(context.Request.Method)
            && context.Request.Headers.Accept.ToString().Contains("text/html", StringComparison.Ordinal)
        )
            context.Response.Redirect(context.RedirectUri);
        else
            context.Response.StatusCode = status;
        return Task.CompletedTask;
    }
}

/// <summary>Whether the program is reached from elsewhere.</summary>
/// <param name="FromElsewhere">Whether others than this machine reach it.</param>
public sealed record Reach(bool FromElsewhere)
{
    /// <summary>Where a phone finds the program, such as <c>https://192.168.1.20:5443</c>; empty when only this machine does.</summary>
    public string Address { get; set; } = "";

    /// <summary>The fingerprint of the certificate, or empty.</summary>
    public string Fingerprint { get; set; } = "";

    /// <summary>What a phone has to trust, as a file; none when the certificate is one's own.</summary>
    public byte[]? Authority { get; set; }
}

/// <summary>Puts the role of an account into what is known of a person.</summary>
internal sealed class RoleClaims(UserManager<Account> people, IOptions<IdentityOptions> options)
    : UserClaimsPrincipalFactory<Account>(people, options)
{
    protected override async Task<ClaimsIdentity> GenerateClaimsAsync(Account user)
    {
        var identity = await base.GenerateClaimsAsync(user);

        // Asked anew with each request: whose time has ended has no role any more.
        if (user.Until is { } until && until <= DateTime.UtcNow)
            return identity;
        identity.AddClaim(new(identity.RoleClaimType, user.Role));
        if (user.Job is { } job)
            identity.AddClaim(new(Roles.JobClaim, job));
        return identity;
    }
}

/// <summary>Lets whoever sits at the machine be the owner.</summary>
internal sealed class MachineHandler(IOptionsMonitor<AuthenticationSchemeOptions> options, ILoggerFactory log, UrlEncoder encoder)
    : AuthenticationHandler<AuthenticationSchemeOptions>(options, log, encoder)
{
    protected override Task<AuthenticateResult> HandleAuthenticateAsync()
    {
        var identity = new ClaimsIdentity([new(ClaimTypes.Role, Roles.Owner)], Scheme.Name);
        return Task.FromResult(AuthenticateResult.Success(new(new(identity), Scheme.Name)));
    }
}
