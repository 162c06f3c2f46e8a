using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Protection;

/// <summary>
/// Puts the protective devices of a circuit at the cheapest lawful place that the preferences leave, and the cable with them.
/// </summary>
public static class ProtectionPlan
{
    /// <summary>
    /// How much dearer a ground-fault breaker is than a ground-fault receptacle, in cents; an estimate like the planner's weights.
    /// </summary>
    public const int BreakerOverReceptacle = 3000;

    /// <summary>The devices and the run that serves them.</summary>
    public static (CircuitProtection Protection, CableRun Run) Of(ProtectionCase c)
    {
        ImmutableArray<string> Needing(ProtectionKind kind) =>
            [.. c.Needs.Where(n => n.Value.Any(x => x.Kind == kind)).Select(n => n.Key).Order(StringComparer.Ordinal)];
        var (arc, ground) = (Needing(ProtectionKind.ArcFault), Needing(ProtectionKind.GroundFault));
        var all = Ids(c.Run);
        var holders =
            c.Connection == Connection.OneLine ? c.Boxes.Where(CircuitProtection.CanHoldDevice).Select(b => b.Id).ToHashSet() : [];

        // The first outlet can hold the arc-fault device only where the code trusts the home run without it.
        var asked = arc.Length > 0 && c.Preferences.ArcFault == ArcFaultPlace.FirstOutlet && c.Chosen != ProtectionPlace.Breaker;
        if (asked && c.Preferences.HomeRunMethod == HomeRunMethod.Metal && First(c, holders) is { } first)
        {
            var run = c.RunFrom(first);
            var both = ground.Length > 0;
            var covers = Load(run, first, both ? c.LineSide : []);
            if (arc.Concat(ground).All(covers.Contains))
                return (
                    new(
                        true,
                        both,
                        [new(both ? DeviceKind.DualFunctionReceptacle : DeviceKind.ArcFaultReceptacle, first, Sorted(covers))],
                        $"The home run is metal, so the device may sit in the first outlet ({c.FirstOutletCite}); the box there "
                            + "is metal and is marked as the first outlet."
                    ),
                    run
                );
        }

        var unqualified = asked
            ? $" An arc-fault device in the first outlet would need a metal home run and a receptacle in reach ({c.FirstOutletCite})."
            : "";
        var breaker = arc.Length > 0 ? DeviceKind.ArcFaultBreaker : (DeviceKind?)null;
        if (ground.Length == 0)
            return (
                new(
                    arc.Length > 0,
                    false,
                    breaker is { } b ? [new(b, null, all)] : [],
                    (
                        breaker is null
                            ? "No outlet on it needs either."
                            : "One covered outlet or switch makes the whole circuit need arc-fault protection."
                    ) + unqualified
                ),
                c.Run
            );
        if (InReceptacle(arc.Length > 0, c.Chosen, c.Preferences) && Receptacle(c, holders, ground) is { } place)
        {
            ImmutableArray<ProtectiveDevice> devices =
            [
                .. breaker is { } a ? new ProtectiveDevice[] { new(a, null, all) } : [],
                new(DeviceKind.GroundFaultReceptacle, place.Box, Sorted(Load(place.Run, place.Box, c.LineSide))),
            ];
            return (
                new(arc.Length > 0, true, devices, (breaker is null ? "" : "An arc-fault breaker, and ") + place.Reason + unqualified),
                place.Run
            );
        }

        return arc.Length > 0
            ? (
                new(
                    true,
                    true,
                    [new(DeviceKind.DualFunctionBreaker, null, all)],
                    "Both kinds are needed: one breaker with both functions." + unqualified
                ),
                c.Run
            )
            : (
                new(false, true, [new(DeviceKind.GroundFaultBreaker, null, all)], "A ground-fault breaker protects the whole circuit."),
                c.Run
            );
    }

    /// <summary>Whether ground-fault protection belongs in a receptacle: a person's choice, else the preference for the case.</summary>
    /// <param name="arcFault">The circuit needs arc-fault protection too.</param>
    /// <param name="chosen">A person's choice, or none.</param>
    /// <param name="preferences">The preferences.</param>
    public static bool InReceptacle(bool arcFault, ProtectionPlace? chosen, Preferences preferences) =>
        chosen is { } place ? place == ProtectionPlace.FirstReceptacle
        : arcFault ? preferences.BothKinds == BothKinds.BreakerAndReceptacle
        : preferences.GroundFault == ProtectionPlace.FirstReceptacle;

    /// <summary>The boxes that a device in a box protects: itself and what is on its load terminals.</summary>
    /// <param name="run">The circuit's cable.</param>
    /// <param name="device">The device's box.</param>
    /// <param name="lineSide">Boxes that are fed from the line side although they lie beyond.</param>
    public static ImmutableHashSet<string> Load(CableRun run, string device, ImmutableHashSet<string> lineSide)
    {
        var fed = ImmutableHashSet.Create(device).ToBuilder();
        foreach (var segment in run.Segments)
        {
            if (segment.From is not null && fed.Contains(segment.From) && !lineSide.Contains(segment.To))
                fed.Add(segment.To);
        }

        return fed.ToImmutable();
    }

    /// <summary>Outlets that are better not behind a device that others trip: a freezer, a refrigerator, a sump pump, an alarm.</summary>
    public static bool KeptClear(Job job, Box box) =>
        box.Kind == BoxKind.SmokeAlarm || ApplianceFacts.Has(job.ApplianceById(box.Appliance), ApplianceTrait.KeptClear);

    // Where the cable runs anyway, the box deepest in the chain that still covers all that need it; else the cable is led there first.
    private static (string Box, CableRun Run, string Reason)? Receptacle(
        ProtectionCase c,
        HashSet<string> holders,
        ImmutableArray<string> ground
    )
    {
        var there = c
            .Run.Segments.Select(h => h.To)
            .Where(holders.Contains)
            .Select(b => (Box: b, Covers: Load(c.Run, b, c.LineSide)))
            .Where(b => ground.All(b.Covers.Contains))
            .ToList();
        if (there.Count > 0)
        {
            var best = there.OrderBy(b => b.Covers.Count).ThenBy(b => b.Box, StringComparer.Ordinal).First();
            var rest = c.Run.Segments.Length - best.Covers.Count;
            return (
                best.Box,
                c.Run,
                $"a ground-fault receptacle in {best.Box} protects itself and what is on its load terminals"
                    + $"{(rest > 0 ? $"; the {rest} outlets that need none stay on when it trips" : "")}."
            );
        }

        if (First(c, holders) is not { } first)
            return null;
        var run = c.RunFrom(first);
        if (!ground.All(Load(run, first, c.LineSide).Contains))
            return null;
        var longer = run.Cut - c.Run.Cut;
        if (c.Chosen is null && longer.InFeet * c.Preferences.Weights.CableFoot > BreakerOverReceptacle)
            return null;
        return (
            first,
            run,
            $"a ground-fault receptacle first in the chain, in {first}, protects itself and all that is on its load terminals"
                + $"{(longer > Length.Feet(1) ? $"; leading the cable there first takes {LengthText.Far(longer, c.Units)} more" : "")}."
        );
    }

    private static string? First(ProtectionCase c, HashSet<string> holders) =>
        c.Run.First is { } head && holders.Contains(head)
            ? head
            : holders
                .Order(StringComparer.Ordinal)
                .Select(h => (Box: h, c.RunFrom(h).Cut))
                .OrderBy(h => h.Cut)
                .Select(h => h.Box)
                .FirstOrDefault();

    private static ImmutableArray<string> Ids(CableRun run) => [.. run.Segments.Select(h => h.To)];

    private static ImmutableArray<string> Sorted(ImmutableHashSet<string> ids) => [.. ids.Order(StringComparer.Ordinal)];
}
