using System.Security.Claims;

namespace Circuitum.Web.Access;

/// <summary>Who may do what. The owner may do everything; the crew what is done in the field.</summary>
public static class Roles
{
    /// <summary>The owner of the firm, or whoever sits at the machine that the program runs on when nobody else can reach it.</summary>
    public const string Owner = "owner";

    /// <summary>Somebody who works in the house.</summary>
    public const string Crew = "crew";

    /// <summary>All roles, the one that may most first.</summary>
    public static IReadOnlyList<string> All { get; } = [Owner, Crew];

    /// <summary>The name under which somebody is taken down.</summary>
    public static string NameOf(ClaimsPrincipal user) => user.Identity?.Name is { Length: > 0 } name ? name : "the desk";
}
