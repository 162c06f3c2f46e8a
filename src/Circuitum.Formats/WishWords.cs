using Circuitum.Core.Jobs;

namespace Circuitum.Formats;

/// <summary>Wishes as people say them.</summary>
public static class WishWords
{
    /// <summary>What will be there.</summary>
    public static string Of(WishKind kind) =>
        kind switch
        {
            WishKind.Heavy => "heater, steamer or the like, 1500 W",
            WishKind.Future => "something later, a capped box",
            _ => kind.ToString().ToLowerInvariant(),
        };
}
