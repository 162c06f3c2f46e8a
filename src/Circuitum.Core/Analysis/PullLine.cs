using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>One home run to pull.</summary>
/// <param name="Circuit">Its circuit; for a shared one the first of the two.</param>
/// <param name="Label">What is written on both ends.</param>
/// <param name="To">The box in which it ends.</param>
/// <param name="Way">By which way, in words.</param>
/// <param name="Cut">Length to cut, make-up at both ends included, waste not.</param>
/// <param name="Pulled">As it was pulled, or none.</param>
public sealed record PullLine(CircuitAnalysis Circuit, string Label, string To, string Way, Length Cut, PulledRun? Pulled)
{
    /// <summary>Its cable.</summary>
    public CableType Cable => Circuit.Cable;
}
