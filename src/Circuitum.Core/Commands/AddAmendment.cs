using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Adds a change to a layer.</summary>
/// <param name="Layer">The layer's place.</param>
/// <param name="Change">The change.</param>
public sealed record AddAmendment(int Layer, Amendment Change) : LayerEdit
{
    /// <inheritdoc/>
    public override string Title => "amend a rule";

    /// <inheritdoc/>
    public override (ImmutableArray<AmendmentLayer> Layers, string Problem) Apply(ImmutableArray<AmendmentLayer> layers) =>
        With(layers, Layer, l => l with { Changes = l.Changes.Add(Change) });
}
