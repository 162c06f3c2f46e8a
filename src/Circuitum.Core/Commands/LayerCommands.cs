using System.Collections.Immutable;
using Circuitum.Core.Codes;
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

/// <summary>Edits the amendment layers of a job.</summary>
/// <param name="Edit">The edit.</param>
public sealed record EditAmendments(LayerEdit Edit) : JobCommand(Edit.Title)
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var (layers, problem) = Edit.Apply(job.Amendments);
        return problem.Length > 0 ? CommandResult.Refuse(problem) : CommandResult.Checked(job with { Amendments = layers });
    }
}

/// <summary>Words for what an amendment does.</summary>
public static class AmendmentWords
{
    /// <summary>In one line, such as "Smallest branch-circuit wire: 12 AWG instead of 14".</summary>
    public static string Of(Amendment change, CodeEdition edition)
    {
        switch (change.Kind)
        {
            case AmendmentKind.Number when CodeLibrary.Numbers.TryGetValue(change.Target, out var number):
                return $"{number.Title}: {change.Value:0.##}{(number.Unit.Length > 0 ? $" {number.Unit}" : "")}"
                    + $"{(edition.InForce(number.Rule) ? $" instead of {edition.Number(change.Target):0.##}" : "")}";
            case AmendmentKind.Off when edition.Rules.TryGetValue(change.Target, out var off):
                return $"{off.Title}: switched off";
            case AmendmentKind.Rule when edition.Rules.TryGetValue(change.Target, out var rule):
                return $"{rule.Title}: "
                    + string.Join(
                        ", ",
                        new[] { change.Severity is { } s ? $"a breach is a {s}" : "", change.Title, change.Text }.Where(t => t.Length > 0)
                    );
            default:
                return $"New: {change.Title}. {change.Text}";
        }
    }

    /// <summary>What the product does about an added rule, in words.</summary>
    public static string Of(LocalDemand demand) =>
        demand.Kind switch
        {
            LocalDemandKind.Boxes =>
                $"at least {demand.Least} {demand.Box?.ToString().ToLowerInvariant()} in each {demand.Room?.ToString().ToLowerInvariant()}",
            LocalDemandKind.GroundFault => $"ground-fault protection in each {demand.Room?.ToString().ToLowerInvariant()}",
            LocalDemandKind.ArcFault => $"arc-fault protection in each {demand.Room?.ToString().ToLowerInvariant()}",
            LocalDemandKind.OwnCircuit => "a circuit of its own for "
                + (demand.Appliance is { } a && CodeLibrary.Appliances.TryGetValue(a, out var type) ? type.Name.ToLowerInvariant() : "it"),
            _ => "looked at by a person",
        };
}
