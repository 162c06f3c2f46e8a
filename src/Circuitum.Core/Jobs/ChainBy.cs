namespace Circuitum.Core.Jobs;

/// <summary>How cable goes on from box to box. Boxes back to back or in one stud bay are joined there in any case.</summary>
public enum ChainBy
{
    /// <summary>Whichever is shorter.</summary>
    Cheapest,

    /// <summary>Through the studs at the height of the boxes, where a wall leads there without a doorway.</summary>
    ThroughStuds,

    /// <summary>Up, over the ceiling and down.</summary>
    UpAndOver,
}
