namespace Circuitum.Core.Jobs;

/// <summary>How ceilings are lit.</summary>
public enum CeilingLights
{
    /// <summary>Rows of recessed lights in kitchens, laundries and halls, one fixture elsewhere.</summary>
    RecessedWhereOneWorks,

    /// <summary>Rows of recessed lights in all living spaces.</summary>
    RecessedThroughout,

    /// <summary>Fixtures on the surface throughout.</summary>
    Surface,
}
