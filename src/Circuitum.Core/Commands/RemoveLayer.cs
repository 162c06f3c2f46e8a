using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes a layer away.</summary>
/// <param name="Layer">Its place.</param>
public sealed record RemoveLayer(int Layer) : LayerEdit
{
    /// <inheritdoc/>
    public override string Title => "remove amendments";

    /// <inheritdoc/>
    public override (ImmutableArray<AmendmentLayer> Layers, string Problem) Apply(ImmutableArray<AmendmentLayer> layers) =>
        Layer >= 0 && Layer < layers.Length ? (layers.RemoveAt(Layer), "") : (layers, "That layer is not there any more.");
}
