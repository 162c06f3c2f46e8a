using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Changes a layer's name, authority or whether it counts.</summary>
/// <param name="Layer">Its place.</param>
/// <param name="Name">Name.</param>
/// <param name="Authority">Who adopted it.</param>
/// <param name="On">Whether it counts.</param>
public sealed record EditLayer(int Layer, string Name, string Authority, bool On) : LayerEdit
{
    /// <inheritdoc/>
    public override string Title => "edit amendments";

    /// <inheritdoc/>
    public override (ImmutableArray<AmendmentLayer> Layers, string Problem) Apply(ImmutableArray<AmendmentLayer> layers) =>
        With(layers, Layer, l => l with { Name = Name.Trim(), Authority = Authority.Trim(), On = On });
}
