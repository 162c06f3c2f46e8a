using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>An edit of a list of amendment layers, the same for a job and for a company. Gives the new list, or a sentence.</summary>
public abstract record LayerEdit
{
    /// <summary>What undo calls it.</summary>
    public abstract string Title { get; }

    /// <summary>Does it.</summary>
    public abstract (ImmutableArray<AmendmentLayer> Layers, string Problem) Apply(ImmutableArray<AmendmentLayer> layers);

    private protected static (ImmutableArray<AmendmentLayer> Layers, string Problem) With(
        ImmutableArray<AmendmentLayer> layers,
        int layer,
        Func<AmendmentLayer, AmendmentLayer> how
    ) =>
        layer >= 0 && layer < layers.Length
            ? (layers.SetItem(layer, how(layers[layer])), "")
            : (layers, "That layer is not there any more.");
}
