namespace Circuitum.Core.Jobs;

/// <summary>When a thing is needed on the site, and so with which order it is bought.</summary>
public enum BuyStage
{
    /// <summary>Service and temporary power.</summary>
    Service,

    /// <summary>Before the walls close.</summary>
    RoughIn,

    /// <summary>After they are painted.</summary>
    Trim,

    /// <summary>In the ground and on the outer walls.</summary>
    Outside,
}
