using System.Text.Json.Serialization;

namespace Circuitum.Core.Codes;

/// <summary>
/// Where editions go about a thing differently, the way of one of them. An edition that leaves one out, or names one that is not known,
/// is refused when the data is read.
/// </summary>
[JsonUnmappedMemberHandling(JsonUnmappedMemberHandling.Disallow)]
public sealed record EditionWays
{
    /// <summary>Receptacles of islands and peninsulas.</summary>
    public required IslandWay Island { get; init; }

    /// <summary>Boxes for fans.</summary>
    public required FanBoxWay FanBox { get; init; }

    /// <summary>Ground-fault protection in kitchens.</summary>
    public required KitchenGroundFaultWay KitchenGroundFault { get; init; }

    /// <summary>Ground-fault protection of what is hardwired.</summary>
    public required HardwiredGroundFaultWay HardwiredGroundFault { get; init; }

    /// <summary>The path of a cord.</summary>
    public required CordWay Cord { get; init; }
}
