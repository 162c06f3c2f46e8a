namespace Circuitum.Core.Simulation;

/// <summary>What a piece of the network is.</summary>
public enum LinkKind
{
    /// <summary>A conductor of a cable.</summary>
    Conductor,

    /// <summary>Where the end of a conductor is joined with the others of its kind in a box or on a bar.</summary>
    Joint,

    /// <summary>Where a device or a lead is joined with them.</summary>
    Terminal,

    /// <summary>A contact of a switch; it closes in one position.</summary>
    Contact,

    /// <summary>A contact of a breaker or a protective receptacle; it opens when that trips.</summary>
    Guarded,

    /// <summary>Something that should not be: wires that touch.</summary>
    Touch,
}

/// <summary>Two places of the network that conduct to each other.</summary>
/// <param name="From">The node nearer to the supply.</param>
/// <param name="To">The other node.</param>
/// <param name="Ohms">Resistance.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Net">What the conductor carries, such as <c>hot</c> or <c>neutral</c>.</param>
public sealed record Link(int From, int To, double Ohms, LinkKind Kind, string Net)
{
    /// <summary>The box in which it is; none for a conductor and in the panel.</summary>
    public string? Box { get; init; }

    /// <summary>For a conductor and the joints at its ends, the cable by its place in the network.</summary>
    public int? Cable { get; init; }

    /// <summary>For a contact of a switch, which one.</summary>
    public int? Switch { get; init; }

    /// <summary>For a contact of a switch, the position in which it conducts.</summary>
    public bool Up { get; init; }

    /// <summary>For a guarded contact, which guard opens it.</summary>
    public int? Guard { get; init; }

    /// <summary>Whether it sparks: an arc-fault device opens for what flows through it.</summary>
    public bool Arcs { get; init; }
}
