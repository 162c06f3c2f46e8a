namespace Circuitum.Core.Jobs;

/// <summary>Who made a decision. The planner may revise its own; it never touches a person's.</summary>
public enum Origin
{
    /// <summary>Proposed by the planner.</summary>
    Planner,

    /// <summary>Made or taken over by a person.</summary>
    Person,
}
