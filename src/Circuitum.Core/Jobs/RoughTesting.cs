namespace Circuitum.Core.Jobs;

/// <summary>What is tested before the walls close.</summary>
public enum RoughTesting
{
    /// <summary>Nothing is connected in the panel until the rough inspection; the cables are tested dead.</summary>
    Dead,

    /// <summary>Temporary power and a live test of every box, where that is allowed.</summary>
    Live,
}
