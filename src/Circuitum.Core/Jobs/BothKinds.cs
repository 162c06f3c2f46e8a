namespace Circuitum.Core.Jobs;

/// <summary>What protects a circuit that needs arc-fault and ground-fault protection.</summary>
public enum BothKinds
{
    /// <summary>One breaker with both functions.</summary>
    DualFunction,

    /// <summary>An arc-fault breaker and a ground-fault receptacle.</summary>
    BreakerAndReceptacle,
}
