namespace Circuitum.Core.Jobs;

/// <summary>How a circuit is run outside the house.</summary>
public enum OutsideMethod
{
    /// <summary>Single wet-rated wires in PVC conduit.</summary>
    PvcConduit,

    /// <summary>Single wet-rated wires in rigid metal conduit.</summary>
    RigidConduit,

    /// <summary>Cable that is made to lie in the ground.</summary>
    DirectBurial,

    /// <summary>The indoor cable itself: somebody did it, and it is a breach (334.12).</summary>
    IndoorCable,
}
