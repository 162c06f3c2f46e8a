using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Web.Work;

/// <summary>Amendment layers to be edited, of a job or of the company.</summary>
/// <param name="Layers">The layers, lowest first.</param>
/// <param name="Edition">The edition that they are laid over.</param>
/// <param name="Stamp">Which change they stand at.</param>
/// <param name="Offered">Whole layers that can be taken.</param>
public sealed record LayersForm(
    ImmutableArray<AmendmentLayer> Layers,
    CodeEdition Edition,
    int Stamp,
    ImmutableArray<AmendmentLayer> Offered
);
