using Microsoft.AspNetCore.Identity;

namespace Circuitum.Storage;

/// <summary>A person who may come in when the program is reached from elsewhere.</summary>
public sealed class Account : IdentityUser
{
    /// <summary>What the person may do: <c>owner</c> or <c>crew</c>.</summary>
    public string Role { get; set; } = "";

    /// <summary>When it was made, UTC.</summary>
    public DateTime Made { get; set; }

    /// <summary>When the person was last seen coming in, UTC; none before.</summary>
    public DateTime? Seen { get; set; }
}
