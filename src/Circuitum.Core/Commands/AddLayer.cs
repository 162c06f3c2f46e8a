using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Adds a layer on top, an empty one or a whole one.</summary>
/// <param name="Layer">The layer.</param>
public sealed record AddLayer(AmendmentLayer Layer) : LayerEdit
{
    /// <inheritdoc/>
    public override string Title => "add amendments";

    /// <inheritdoc/>
    public override (ImmutableArray<AmendmentLayer> Layers, string Problem) Apply(ImmutableArray<AmendmentLayer> layers) =>
        layers.Any(l => string.Equals(l.Name, Layer.Name, StringComparison.OrdinalIgnoreCase))
            ? (layers, $"There is a layer \"{Layer.Name}\" already.")
            : (layers.Add(Layer), "");
}
