using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

/// <summary>The feeder of a sub-panel: four wires, neutral and ground apart.</summary>
public sealed record Feeder
{
    /// <summary>The panel it comes from.</summary>
    public required string From { get; init; }

    /// <summary>The panel it feeds.</summary>
    public required string To { get; init; }

    /// <summary>Load of what hangs on it, by the standard method.</summary>
    public required ServiceLoad Load { get; init; }

    /// <summary>Connected load of its circuits.</summary>
    public required VoltAmperes Connected { get; init; }

    /// <summary>Its breaker in amperes.</summary>
    public required int Breaker { get; init; }

    /// <summary>Its ungrounded wires, or none when no size carries the breaker.</summary>
    public required ConductorChoice? Wire { get; init; }

    /// <summary>Its ground, AWG copper.</summary>
    public required string Ground { get; init; }

    /// <summary>Its conduit, or none for cable.</summary>
    public required ConduitFill? Conduit { get; init; }

    /// <summary>Its way.</summary>
    public required CableRoute Route { get; init; }

    /// <summary>Length to cut, with make-up in both panels.</summary>
    public required Length Cut { get; init; }

    /// <summary>Voltage drop under its load, in percent.</summary>
    public required double DropPercent { get; init; }

    /// <summary>Whether it leads to another building.</summary>
    public required bool ToBuilding { get; init; }

    /// <summary>What it is made of, such as <c>2-3 cable</c> or <c>3 x 1/0 and 6 ground in 1-1/2 in conduit</c>.</summary>
    public required string Made { get; init; }

    /// <summary>How it came about.</summary>
    public required Derivation Derivation { get; init; }

    // Practice: a sub-panel that is fed by less is soon too small.
    private const int LeastBreaker = 60;

    internal static Feeder Of(Job job, HouseShape house, CodeEdition edition, Runs runs, Panel panel, ImmutableArray<CircuitAnalysis> circuits)
    {
        var load = ServiceLoad.Standard(Case(job, house, edition, circuits), edition);
        var connected = circuits.Aggregate(VoltAmperes.Zero, (sum, c) => sum + c.Load.Connected);
        var breaker = panel.FeederBreaker ?? edition.BreakerFor(Math.Max(LeastBreaker, load.Current.Value)) ?? edition.Breakers[^1];
        var from = panel.FedFrom!;
        var outside = runs.FeederOutside(from, panel.Id);

        // Sheathed cable is for dry places; aluminum cable of the service kind goes by its 75 C column.
        var conduit = panel.FeederMethod == FeederMethod.Conduit || outside;
        var byCable = !conduit && !panel.AluminumFeeder;
        var wire = Conductor.Choose(new() { NonContinuous = new(Math.Min(load.Current.Value, breaker)), Breaker = breaker, Copper = !panel.AluminumFeeder, Method = byCable ? WiringMethod.Cable : WiringMethod.Conduit, InsulationC = conduit ? 75 : 90, TerminationC = job.Preferences.TerminationC, CurrentCarrying = 2 }, edition);
        if (wire is not null && wire.Breaker != breaker) wire = null;
        var ground = CodeLibrary.Conductors.Ground.First(g => breaker <= g.Breaker).Copper;
        var route = runs.Feeder(from, panel.Id);
        var cut = route.Length + (job.Preferences.PanelMakeUp * 2);
        var drop = wire is null ? 0 : Conductor.DropVolts(route.Length, load.Current, wire.Row) / 240 * 100;
        var fill = conduit && wire is not null && wire.Row.AreaIn2 > 0 ? ConduitFill.Of([new(wire.Size, 3), new(ground, 1)], "pvc40") : null;
        var metal = panel.AluminumFeeder ? "aluminum" : "copper";
        var made = wire is null ? "no wire carries it" : byCable ? $"{wire.Size}-3 cable" : conduit ? $"3 x {wire.Size} {metal} and {ground} ground{(fill?.Size is { } size ? $" in {size.Size} in {fill.Kind.Name}" : " in conduit")}" : $"{wire.Size}-{wire.Size}-{wire.Size} aluminum cable with ground";
        var building = house[panel.Room].Room.Kind == RoomKind.AccessoryBuilding;
        return new()
        {
            From = from, To = panel.Id, Load = load, Connected = connected, Breaker = breaker, Wire = wire, Ground = ground, Conduit = fill, Route = route, Cut = cut, DropPercent = drop, ToBuilding = building, Made = made,
            Derivation = new("Feeder", $"{breaker} A, {made}")
            {
                Formula = $"{load.Total} / 240 = {load.Current.Value:0.0} A",
                Citation = edition.Cite("feeder.size"),
                Because = panel.FeederBreaker is null ? $"The next breaker over its load, {LeastBreaker} A at least by practice. It does not carry the whole dwelling, so the smaller service sizes do not hold for it." : "As a person says.",
                Steps =
                [
                    load.Derivation,
                    .. wire is null ? [] : new[] { wire.Derivation, new Derivation("Equipment ground", $"{ground} AWG copper") { Citation = edition.Cite("wire.ground") } },
                    .. fill is null ? [] : new[] { fill.Derivation },
                    new("Way", $"{route.Length.InFeet:0} ft") { Because = $"{route.InFeet}." },
                    .. wire is null ? [] : new[] { new Derivation("Voltage drop under its load", $"{drop:0.0} percent") { Formula = $"2 x {route.Length.InFeet:0.#} ft x {load.Current.Value:0.#} A x {wire.Row.OhmPerKft} / 1000 / 240 V", Citation = edition.Cite("wire.drop"), Because = "Feeder and branch circuit together 5 percent at most, recommended." } },
                ],
            },
        };
    }

    // The share of each room's area that its lights and receptacles on the feeder are of all of them.
    private static ServiceCase Case(Job job, HouseShape house, CodeEdition edition, ImmutableArray<CircuitAnalysis> circuits)
    {
        var on = circuits.SelectMany(c => c.Boxes).Select(b => b.Id).ToHashSet();
        var area = job.Decisions.Boxes.Where(b => b.Kind is BoxKind.Light or BoxKind.Receptacle && edition.Traits(job.RoomById(b.Room)!.Kind).FloorArea).GroupBy(b => b.Room)
            .Sum(g => house[g.Key].AreaSqFt * g.Count(b => on.Contains(b.Id)) / g.Count());
        var appliances = circuits.SelectMany(c => c.Boxes).Select(b => job.ApplianceById(b.Appliance)).OfType<Appliance>().Distinct();
        return new()
        {
            Whole = false,
            AreaSqFt = area,
            SmallApplianceCircuits = circuits.Count(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance),
            LaundryCircuits = circuits.Count(c => c.Circuit.Purpose == CircuitPurpose.Laundry),
            Items = HouseDeriver.Items(job, edition, appliances),
        };
    }
}
