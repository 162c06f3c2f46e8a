using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>One piece of cable: from the panel or a box to a box.</summary>
/// <param name="From">The feeding box, or none for the home run from the panel.</param>
/// <param name="To">The box it ends in.</param>
/// <param name="Way">Length of the way, without make-up.</param>
/// <param name="Cut">Length to cut: way and make-up at both ends.</param>
/// <param name="Via">For a home run in another circuit's cable, that circuit's first box; what is cut begins there.</param>
/// <param name="Use">What it is for.</param>
public sealed record CableSegment(string? From, string To, Length Way, Length Cut, string? Via = null, CableUse Use = CableUse.Power)
{
    /// <summary>For a home run, the panel that it comes from; none for the first one.</summary>
    public string? Panel { get; init; }

    /// <summary>How much longer it is than the shortest way, because a person leads it elsewhere.</summary>
    public Length Longer { get; init; }

    /// <summary>Insulated wires beyond those that its use always has: power that goes on with travelers, a third leg.</summary>
    public int More { get; init; }

    /// <summary>What its wires are; none for plain power.</summary>
    public CableWires? Wires { get; init; }

    /// <summary>
    /// Insulated conductors of a switch's or an alarm's cable: three with travelers, a loop, two legs or between alarms, two else, and what
    /// more it holds.
    /// </summary>
    public int Conductors => (Use is CableUse.Power or CableUse.SwitchLeg ? 2 : 3) + More;
}
