namespace Circuitum.Core.Routing;

/// <summary>How a piece of a cable's way goes.</summary>
public enum WayKind
{
    /// <summary>Up or down inside a wall, through a plate where it enters or leaves a field.</summary>
    Wall,

    /// <summary>Across the joists or the attic over rooms, or the space under them.</summary>
    Field,

    /// <summary>Through the studs along a wall.</summary>
    Studs,

    /// <summary>Outside the house: buried, or in conduit on a wall.</summary>
    Outside,
}
