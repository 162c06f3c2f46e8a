namespace Circuitum.Core.Codes;

/// <summary>How the receptacles of a kitchen's counters are divided.</summary>
public enum CounterWay
{
    /// <summary>Each circuit has a stretch of counter, and pantry and dining room beside it.</summary>
    Stretches,

    /// <summary>Few on each circuit, neighbours on different ones, nothing else beside them.</summary>
    Alternating,
}
