using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Loads;

/// <summary>
/// What of a circuit's load runs on an ordinary evening: practice, for dividing circuits over the legs, never for sizing.
/// </summary>
/// <param name="Load">The expected load.</param>
/// <param name="Derivation">How it came about.</param>
public sealed record ExpectedLoad(VoltAmperes Load, Derivation Derivation)
{
    /// <summary>The expected load of a circuit.</summary>
    /// <param name="job">The job.</param>
    /// <param name="purpose">The circuit's purpose.</param>
    /// <param name="connected">Its connected load.</param>
    /// <param name="boxes">Its boxes.</param>
    public static ExpectedLoad Of(Job job, CircuitPurpose purpose, CircuitLoad connected, IReadOnlyList<Box> boxes)
    {
        var shares = CodeLibrary.Expected;
        if (purpose is CircuitPurpose.SmallAppliance or CircuitPurpose.Laundry)
        {
            var share = purpose == CircuitPurpose.Laundry ? shares.Laundry : shares.SmallAppliance;
            return Done([(purpose == CircuitPurpose.Laundry ? "laundry circuit" : "small-appliance circuit", connected.Connected, share)]);
        }

        return Done([
            .. boxes.Select(b => BoxLoad.Of(job, b)).Where(l => l.Load.Value > 0).Select(l => (Name(job, l), l.Load, Share(job, l))),
        ]);
    }

    private static double Share(Job job, BoxLoad load)
    {
        var shares = CodeLibrary.Expected;
        if (job.ApplianceById(load.Box.Appliance) is { } appliance)
            return load.Continuous ? shares.Continuous
                : shares.Types.TryGetValue(appliance.Type, out var own) ? own
                : shares.Appliance;
        return load.Kind switch
        {
            LoadKind.Light => shares.Light,
            LoadKind.Fixed => shares.Continuous,
            _ => shares.Receptacle,
        };
    }

    private static string Name(Job job, BoxLoad load) =>
        job.ApplianceById(load.Box.Appliance) is { } appliance
            ? ApplianceFacts.Of(job, appliance).Name
            : load.Kind switch
            {
                LoadKind.Light => "lights",
                LoadKind.Fixed => "alarms",
                _ => "receptacles",
            };

    private static ExpectedLoad Done(ImmutableArray<(string Name, VoltAmperes Load, double Share)> parts)
    {
        var groups = parts.GroupBy(p => (p.Name, p.Share)).Select(g => (g.Key.Name, g.Key.Share, Load: g.Sum(p => p.Load.Value))).ToList();
        var sum = groups.Sum(g => g.Load * g.Share);
        return new(
            new(sum),
            new("Expected on an ordinary evening", $"{sum:0} VA")
            {
                Formula = string.Join(" + ", groups.Select(g => $"{g.Load:0} x {g.Share:0.##}")),
                Citation = "practice",
                Because = "For dividing circuits over the legs only; breakers and wires go by the whole load.",
                Steps =
                [
                    .. groups.Select(g =>
                        Derivation.Fact(g.Name, $"{g.Load * g.Share:0} VA", $"{g.Share * 100:0} percent of {g.Load:0} VA")
                    ),
                ],
            }
        );
    }
}
