namespace Circuitum.Core.Codes;

/// <summary>Which receptacles are asked for outdoors.</summary>
public enum OutdoorWay
{
    /// <summary>One at the front, one at the back, and one on each porch and deck.</summary>
    FrontAndBack,

    /// <summary>One that is reached from grade.</summary>
    One,
}
