using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>One cable from box to box.</summary>
/// <param name="From">The box it comes from.</param>
/// <param name="To">The box in which it ends.</param>
/// <param name="Cable">Its cable.</param>
/// <param name="Use">What it is for.</param>
/// <param name="Way">By which way, in words.</param>
/// <param name="Cut">Length to cut.</param>
public sealed record BranchLine(string From, string To, CableType Cable, CableUse Use, string Way, Length Cut);
