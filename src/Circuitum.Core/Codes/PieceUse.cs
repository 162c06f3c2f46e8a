namespace Circuitum.Core.Codes;

/// <summary>What an appliance is there for in a furnished room, from which follows where it stands.</summary>
public enum PieceUse
{
    /// <summary>Keeps food cold, at the end of a counter.</summary>
    Cold,

    /// <summary>Beside the sink.</summary>
    WashingUp,

    /// <summary>Cooks, in a run of its own.</summary>
    Cooking,

    /// <summary>Over what cooks.</summary>
    OverCooking,

    /// <summary>Takes moist air out.</summary>
    Air,

    /// <summary>Along a wall beside the next.</summary>
    InRow,

    /// <summary>Over the rail of a garage door.</summary>
    OverDoor,
}
