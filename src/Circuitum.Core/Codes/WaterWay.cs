namespace Circuitum.Core.Codes;

/// <summary>Which receptacles near water need ground-fault protection.</summary>
public enum WaterWay
{
    /// <summary>Every one within reach.</summary>
    Every,

    /// <summary>Those that a person reaches: not behind what stands fixed.</summary>
    Reached,
}
