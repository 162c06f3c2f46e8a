using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>One cable that ends in a box.</summary>
/// <param name="Other">Where its other end is: a box, or none for the panel.</param>
/// <param name="Cable">The cable, such as <c>14-3</c>.</param>
/// <param name="Use">What it is for.</param>
public sealed record CableEnd(string? Other, CableType Cable, CableUse Use)
{
    /// <summary>AWG of its insulated conductors.</summary>
    public WireSize Size => Cable.Size;

    /// <summary>Its insulated conductors.</summary>
    public int Conductors => Cable.Conductors;

    /// <summary>Where it leads and what for, in words.</summary>
    public string InWords =>
        (Other is null ? "from the panel" : $"to {Other}")
        + Use switch
        {
            CableUse.SwitchLeg => ", switch leg",
            CableUse.TwoSwitchLegs => ", two switch legs",
            CableUse.Travelers => ", travelers",
            CableUse.SwitchLoop => ", switch loop",
            CableUse.Interconnect => ", between alarms",
            _ => "",
        };
}
