using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

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
