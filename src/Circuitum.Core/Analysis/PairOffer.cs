using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>Two circuits that could share a home run.</summary>
/// <param name="First">The circuit whose first box the cable would end in.</param>
/// <param name="Second">The other one.</param>
/// <param name="Saving">Cable less to pull.</param>
public sealed record PairOffer(int First, int Second, Length Saving);
