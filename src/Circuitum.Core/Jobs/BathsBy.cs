namespace Circuitum.Core.Jobs;

/// <summary>Whether full baths share a circuit.</summary>
public enum BathsBy
{
    /// <summary>No: two hair dryers trip it. A half bath may join one.</summary>
    Apart,

    /// <summary>Two of a storey share one circuit.</summary>
    Together,
}
