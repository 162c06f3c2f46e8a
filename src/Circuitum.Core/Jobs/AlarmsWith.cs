namespace Circuitum.Core.Jobs;

/// <summary>Where smoke alarms hang.</summary>
public enum AlarmsWith
{
    /// <summary>With lights that people use every day, so that a dead circuit is noticed.</summary>
    Lights,

    /// <summary>On a circuit of their own.</summary>
    Alone,
}
