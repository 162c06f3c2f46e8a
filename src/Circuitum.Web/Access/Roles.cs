using System.Security.Claims;
using Circuitum.Storage;
using Microsoft.AspNetCore.Authorization;

namespace Circuitum.Web.Access;

/// <summary>
/// Who may do what. Each of these is a role and the name of the policy of those who may do at least as much: what a page asks for is the
/// least that one has to be.
/// </summary>
public static class Roles
{
    /// <summary>The owner of the firm, or whoever sits at the machine that the program runs on when nobody else can reach it.</summary>
    public const string Owner = "owner";

    /// <summary>Somebody who plans houses; people, backups and what holds for the firm are the owner's.</summary>
    public const string Planner = "planner";

    /// <summary>Somebody who works in the house.</summary>
    public const string Crew = "crew";

    /// <summary>Somebody who looks at all papers without money and says what passes.</summary>
    public const string Inspector = "inspector";

    /// <summary>Somebody who looks at one job until a day.</summary>
    public const string Guest = "guest";

    /// <summary>The claim that names the job of a guest.</summary>
    public const string JobClaim = "job";

    /// <summary>All roles, the one that may most first; the crew and an inspector may do different things.</summary>
    public static IReadOnlyList<string> All { get; } = [Owner, Planner, Crew, Inspector, Guest];

    /// <summary>What each may do, in words.</summary>
    public static string Words(string role) =>
        role switch
        {
            Owner => "do everything",
            Planner => "plan houses",
            Crew => "work in the field",
            Inspector => "look, and say what passes",
            _ => "look at one job",
        };

    /// <summary>The policy of whoever plans, or works in the house, or inspects it.</summary>
    public const string Checker = "checker";

    /// <summary>The policy of everyone who may look at a job, a guest only at its own.</summary>
    public const string Reader = "reader";

    /// <summary>Adds the policies. What says nothing of itself is for those who plan.</summary>
    internal static void AddPolicies(AuthorizationBuilder builder) =>
        builder
            .AddPolicy(Owner, p => p.RequireRole(Owner))
            .AddPolicy(Planner, p => p.RequireRole(Owner, Planner))
            .AddPolicy(Crew, p => p.RequireRole(Owner, Planner, Crew))
            .AddPolicy(Checker, p => p.RequireRole(Owner, Planner, Crew, Inspector))
            .AddPolicy(Reader, p =>
                p.RequireRole(Owner, Planner, Crew, Inspector, Guest).RequireAssertion(c => !c.User.IsInRole(Guest) || IsOwnJob(c))
            )
            .SetFallbackPolicy(new AuthorizationPolicyBuilder().RequireRole(Owner, Planner).Build())
            .SetDefaultPolicy(new AuthorizationPolicyBuilder().RequireRole(Owner, Planner).Build());

    private static bool IsOwnJob(AuthorizationHandlerContext context) =>
        context.Resource is HttpContext http
        && context.User.FindFirstValue(JobClaim) is { Length: > 0 } job
        && http.GetRouteValue("id") as string == job;

    /// <summary>Whether somebody looks at no money: an inspector, a guest, the crew.</summary>
    public static bool SeesMoney(ClaimsPrincipal user) => user.IsInRole(Owner) || user.IsInRole(Planner);

    /// <summary>Whether somebody may say something of a task: an inspector only of what is inspected.</summary>
    public static bool MaySay(ClaimsPrincipal user, string? task) =>
        !user.IsInRole(Inspector)
        || (
            task is not null
            && (task.StartsWith("check/", StringComparison.Ordinal) || task.StartsWith("inspection/", StringComparison.Ordinal))
        );

    /// <summary>Where somebody begins.</summary>
    public static string HomeOf(Account account) =>
        account.Role switch
        {
            Owner or Planner => "/",
            Crew => "/field",
            Inspector => "/look",
            _ => $"/jobs/{account.Job}/look",
        };

    /// <summary>The page of a job from which somebody goes on: the work, or what there is to look at.</summary>
    public static string PageOf(ClaimsPrincipal user) => user.IsInRole(Inspector) || user.IsInRole(Guest) ? "look" : "field";

    /// <summary>The name under which somebody is taken down.</summary>
    public static string NameOf(ClaimsPrincipal user) => user.Identity?.Name is { Length: > 0 } name ? name : "the desk";
}
