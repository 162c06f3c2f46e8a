namespace Circuitum.Core.Circuits;

/// <summary>How long the planner looks.</summary>
public enum PlanEffort
{
    /// <summary>A good plan at once.</summary>
    First,

    /// <summary>The best that its rounds find.</summary>
    Full,
}
