using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes a change out of a layer.</summary>
/// <param name="Layer">The layer's place.</param>
/// <param name="Change">The change's place.</param>
public sealed record RemoveAmendment(int Layer, int Change) : LayerEdit
{
    /// <inheritdoc/>
    public override string Title => "take back an amendment";

    /// <inheritdoc/>
    public override (ImmutableArray<AmendmentLayer> Layers, string Problem) Apply(ImmutableArray<AmendmentLayer> layers) =>
        Layer >= 0 && Layer < layers.Length && Change >= 0 && Change < layers[Layer].Changes.Length
            ? With(layers, Layer, l => l with { Changes = l.Changes.RemoveAt(Change) })
            : (layers, "That change is not there any more.");
}
