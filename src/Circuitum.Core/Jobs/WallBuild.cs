namespace Circuitum.Core.Jobs;

/// <summary>How a wall is built.</summary>
public enum WallBuild
{
    /// <summary>2x4 wood studs.</summary>
    Wood2x4,

    /// <summary>2x6 wood studs.</summary>
    Wood2x6,

    /// <summary>Metal studs: cable needs bushings in the holes.</summary>
    MetalStud,

    /// <summary>Insulated panel with fixed chases.</summary>
    InsulatedPanel,

    /// <summary>Masonry.</summary>
    Masonry,
}
