using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Analysis;

/// <summary>One space of the panel.</summary>
/// <param name="Space">Its number.</param>
/// <param name="Circuit">The circuit in it, or none for a spare.</param>
/// <param name="SecondPole">The lower space of a two-pole breaker.</param>
/// <param name="By">Who placed it.</param>
/// <param name="Load">What it puts on each line.</param>
public sealed record PanelRow(int Space, CircuitAnalysis? Circuit, bool SecondPole, Origin By, LineLoads Load)
{
    /// <summary>The feeder whose breaker is in it, or none.</summary>
    public Feeder? Feeder { get; init; }

    /// <summary>Which half of the space it is, when a tandem is in it.</summary>
    public TandemHalf Half { get; init; }

    /// <summary>The family of its breaker, when it is not the panel's.</summary>
    public string? Family { get; init; }

    /// <summary>The space as it is written: <c>13</c>, or <c>13A</c> and <c>13B</c> for the halves of a tandem.</summary>
    public string Place => SpacePlan.Write(Space, Half);

    /// <summary>Whether nothing is in it.</summary>
    public bool Free => Circuit is null && Feeder is null;
}
