using Microsoft.AspNetCore.Identity;

namespace Circuitum.Storage;

/// <summary>A person who may come in when the program is reached from elsewhere.</summary>
public sealed class Account : IdentityUser
{
    /// <summary>What the person may do: <c>owner</c>, <c>planner</c>, <c>crew</c>, <c>inspector</c> or <c>guest</c>.</summary>
    public string Role { get; set; } = "";

    /// <summary>The only job that a guest may look at; none for all others.</summary>
    public string? Job { get; set; }

    /// <summary>When it ends, UTC; none for never.</summary>
    public DateTime? Until { get; set; }

    /// <summary>The hash of what a guest's link ends in; none for all others.</summary>
    public string? Link { get; set; }

    /// <summary>When it was made, UTC.</summary>
    public DateTime Made { get; set; }

    /// <summary>When the person was last seen coming in, UTC; none before.</summary>
    public DateTime? Seen { get; set; }
}
