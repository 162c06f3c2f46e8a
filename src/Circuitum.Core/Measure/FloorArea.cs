namespace Circuitum.Core.Measure;

/// <summary>Floor areas in two measures: the plan is in square feet, some rules count square metres.</summary>
public static class FloorArea
{
    /// <summary>Square metres in a square foot.</summary>
    public const double SqMInSqFt = 0.09290304;
}
