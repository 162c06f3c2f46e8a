using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>What the sizing of a circuit starts from.</summary>
public sealed record SizingCase
{
    /// <summary>Load that is not continuous.</summary>
    public Amperes NonContinuous { get; init; }

    /// <summary>Load of three hours or more.</summary>
    public Amperes Continuous { get; init; }

    /// <summary>Minimum circuit ampacity of motor or air-conditioning equipment, or none.</summary>
    public double? MinimumCircuitAmpacity { get; init; }

    /// <summary>Largest breaker by nameplate, or none.</summary>
    public int? MaximumBreaker { get; init; }

    /// <summary>
    /// Breaker asked for by practice or a rule, in amperes; the load can ask for a larger one unless it is <see cref="Held"/>.
    /// </summary>
    public int? Breaker { get; init; }

    /// <summary>The breaker is a person's: it stays as it is, and a check says when the load is over it.</summary>
    public bool Held { get; init; }

    /// <summary>
    /// Largest breaker that what hangs on the circuit allows, in amperes: 20 for several 15 and 20 A receptacles (210.21(B)(3)).
    /// </summary>
    public int? MostBreaker { get; init; }

    /// <summary>Copper, else aluminum.</summary>
    public bool Copper { get; init; } = true;

    /// <summary>Temperature column of the insulation: 60, 75 or 90.</summary>
    public int InsulationC { get; init; } = 90;

    /// <summary>Rating of the terminals: 60 or 75.</summary>
    public int TerminationC { get; init; } = 75;

    /// <summary>Cable or conduit.</summary>
    public WiringMethod Method { get; init; }

    /// <summary>Current-carrying conductors together; 3 and fewer need no factor.</summary>
    public int CurrentCarrying { get; init; } = 2;

    /// <summary>Temperature around the wire in degrees Celsius.</summary>
    public int AmbientC { get; init; } = 30;

    /// <summary>Feeds several receptacles for plug-in loads: then the breaker may not be the next size over the ampacity.</summary>
    public bool SeveralReceptacles { get; init; }

    /// <summary>Smallest size to use, in AWG, or none.</summary>
    public WireSize? SmallestSize { get; init; }
}
