namespace Circuitum.Core.Jobs;

/// <summary>Where conduit runs in walls of masonry.</summary>
public enum ConduitPlace
{
    /// <summary>In chases, cut before the plaster.</summary>
    Chased,

    /// <summary>On the face of walls and ceilings, where it is seen.</summary>
    Surface,
}
