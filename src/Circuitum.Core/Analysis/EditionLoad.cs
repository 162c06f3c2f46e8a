using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Analysis;

/// <summary>The load of a house by one edition.</summary>
/// <param name="Edition">The edition.</param>
/// <param name="Standard">By the standard method.</param>
/// <param name="Optional">By the optional method.</param>
/// <param name="Differs">Lines that come out otherwise than by the job's edition.</param>
public sealed record EditionLoad(CodeEdition Edition, ServiceLoad Standard, ServiceLoad Optional, ImmutableArray<string> Differs);
