namespace Circuitum.Core.Codes;

/// <summary>How the shortest path of a cord is measured to a sink (210.8(A)).</summary>
public enum CordWay
{
    /// <summary>Not through a doorway with a door.</summary>
    NotThroughDoors,

    /// <summary>Through any doorway.</summary>
    ThroughDoorways,
}
