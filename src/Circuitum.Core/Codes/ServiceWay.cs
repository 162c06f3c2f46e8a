namespace Circuitum.Core.Codes;

/// <summary>How the load of a service is worked out.</summary>
public enum ServiceWay
{
    /// <summary>By two methods, of which the job chooses.</summary>
    StandardAndOptional,

    /// <summary>By the floor area and what is large, and never under a least load.</summary>
    ByArea,

    /// <summary>By what is connected and a diversity that is stated: split boards.</summary>
    Connected,
}
