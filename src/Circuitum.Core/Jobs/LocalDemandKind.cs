namespace Circuitum.Core.Jobs;

/// <summary>Sorts of demand of an added rule.</summary>
public enum LocalDemandKind
{
    /// <summary>A person looks at it: the findings list it as a note.</summary>
    ByHand,

    /// <summary>Each room of a kind has at least a number of boxes of a kind.</summary>
    Boxes,

    /// <summary>Receptacles in a kind of room have ground-fault protection.</summary>
    GroundFault,

    /// <summary>Outlets and switches in a kind of room have arc-fault protection.</summary>
    ArcFault,

    /// <summary>An appliance has a circuit of its own.</summary>
    OwnCircuit,
}
