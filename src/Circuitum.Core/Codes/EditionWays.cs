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

    /// <summary>How wire is chosen.</summary>
    public required SizingWay Sizing { get; init; }

    /// <summary>How a service load is worked out.</summary>
    public required ServiceWay Service { get; init; }

    /// <summary>Circuits of kitchen counters.</summary>
    public required CounterWay Counter { get; init; }

    /// <summary>Arc-fault protection.</summary>
    public required ArcFaultWay ArcFault { get; init; }

    /// <summary>Room in boxes.</summary>
    public required BoxRoomWay BoxRoom { get; init; }

    /// <summary>Receptacles outdoors.</summary>
    public required OutdoorWay Outdoor { get; init; }

    /// <summary>Receptacles of halls.</summary>
    public required HallWay Hall { get; init; }

    /// <summary>Receptacles of laundries.</summary>
    public required LaundryWay Laundry { get; init; }

    /// <summary>Ground-fault protection near water.</summary>
    public required WaterWay Water { get; init; }

    /// <summary>Receptacles by breaker.</summary>
    public required ReceptacleWay Receptacles { get; init; }
}
