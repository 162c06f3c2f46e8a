using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Analysis;

/// <summary>The load of a house by one edition.</summary>
/// <param name="Edition">The edition.</param>
/// <param name="Loads">By each of its methods.</param>
/// <param name="Differs">Lines that come out otherwise than by the job's edition.</param>
public sealed record EditionLoad(CodeEdition Edition, ImmutableArray<ServiceLoad> Loads, ImmutableArray<string> Differs);
