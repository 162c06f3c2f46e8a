namespace Circuitum.Core.Jobs;

/// <summary>How lights are grouped.</summary>
public enum LightsBy
{
    /// <summary>By zones: a few rooms that touch.</summary>
    Zone,

    /// <summary>By storeys: as many of a storey's rooms as one circuit holds.</summary>
    Storey,
}
