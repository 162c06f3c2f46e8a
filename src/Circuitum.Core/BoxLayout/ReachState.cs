namespace Circuitum.Core.BoxLayout;

/// <summary>How well a piece of a wall or a counter is served.</summary>
public enum ReachState
{
    /// <summary>A receptacle is near enough.</summary>
    Served,

    /// <summary>Near enough for the code, farther than the job or the room wants.</summary>
    CloserWanted,

    /// <summary>Farther than the code allows.</summary>
    TooFar,
}
