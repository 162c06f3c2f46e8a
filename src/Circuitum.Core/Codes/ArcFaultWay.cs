namespace Circuitum.Core.Codes;

/// <summary>What makes a circuit need arc-fault protection.</summary>
public enum ArcFaultWay
{
    /// <summary>An outlet or a switch in a room of certain kinds.</summary>
    ByRoom,

    /// <summary>A receptacle, but for certain ones that are alone on their circuit.</summary>
    ByReceptacle,
}
