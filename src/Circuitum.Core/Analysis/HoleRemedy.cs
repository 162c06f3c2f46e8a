namespace Circuitum.Core.Analysis;

/// <summary>What is done for a circuit whose cable would lose ampacity among others in one hole.</summary>
public enum HoleRemedy
{
    /// <summary>It has holes of its own there.</summary>
    OwnHole,

    /// <summary>It goes over the field instead of through the studs.</summary>
    OtherWay,

    /// <summary>Its wire is larger.</summary>
    LargerWire,
}
