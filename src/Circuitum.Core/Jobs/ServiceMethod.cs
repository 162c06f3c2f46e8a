namespace Circuitum.Core.Jobs;

/// <summary>Methods of working out the service load.</summary>
public enum ServiceMethod
{
    /// <summary>The optional method for dwellings.</summary>
    Optional,

    /// <summary>The standard method.</summary>
    Standard,
}
