namespace Circuitum.Core.Protection;

/// <summary>Kinds of protection.</summary>
public enum ProtectionKind
{
    /// <summary>Arc-fault (AFCI).</summary>
    ArcFault,

    /// <summary>Ground-fault (GFCI).</summary>
    GroundFault,
}
