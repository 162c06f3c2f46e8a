namespace Circuitum.Core.Drafting;

/// <summary>What hangs on a wall: openings keep their place on the plan, furniture keeps to its corner.</summary>
public enum Hold
{
    /// <summary>Stays where it is on the plan: openings, boxes, the panel.</summary>
    Place,

    /// <summary>Stays in its corner, and grows with a wall that it fills: counters, fixtures, appliances.</summary>
    Corner,
}
