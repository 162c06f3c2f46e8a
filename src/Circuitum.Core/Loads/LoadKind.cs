namespace Circuitum.Core.Loads;

/// <summary>Sorts of load.</summary>
public enum LoadKind
{
    /// <summary>None, as a switch.</summary>
    None,

    /// <summary>A luminaire.</summary>
    Light,

    /// <summary>A receptacle for general use.</summary>
    GeneralReceptacle,

    /// <summary>An appliance fastened in place.</summary>
    Fixed,

    /// <summary>A plug-in appliance not fastened in place.</summary>
    PlugIn,
}
