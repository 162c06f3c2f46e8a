namespace Circuitum.Core.Codes;

/// <summary>What takes room in a box.</summary>
public enum BoxRoomWay
{
    /// <summary>Conductors, clamps, fittings, devices and grounds, each by its allowance.</summary>
    Allowances,

    /// <summary>Conductors, each two connectors and devices; bonding wires take none.</summary>
    Pairs,
}
