namespace Circuitum.Core.Drafting;

/// <summary>Ways of turning a plan over.</summary>
public enum Turning
{
    /// <summary>East and west change places.</summary>
    MirrorEastWest,

    /// <summary>North and south change places.</summary>
    MirrorNorthSouth,

    /// <summary>A quarter turn clockwise.</summary>
    QuarterTurn,
}
