using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

/// <summary>The feeder of a sub-panel: four wires, neutral and ground apart.</summary>
public sealed partial record Feeder
{
    /// <summary>The panel it comes from.</summary>
    public required string From { get; init; }

    /// <summary>The panel it feeds.</summary>
    public required string To { get; init; }

    /// <summary>Load of what hangs on it: by the standard method, or by the job's when it carries the whole dwelling.</summary>
    public required ServiceLoad Load { get; init; }

    /// <summary>
    /// Whether it carries the whole dwelling, as behind a disconnect outside: then the optional method and the smaller sizes hold for it
    /// (220.82, 310.12).
    /// </summary>
    public required bool Whole { get; init; }

    /// <summary>What its load is worked out from.</summary>
    public required ServiceCase Case { get; init; }

    /// <summary>Load of its neutral.</summary>
    public required Derivation Neutral { get; init; }

    /// <summary>What of it is outside, how deep, and how its conduit bends.</summary>
    public required FeederWay Run { get; init; }

    /// <summary>Connected load of its circuits.</summary>
    public required VoltAmperes Connected { get; init; }

    /// <summary>Its breaker in amperes.</summary>
    public required int Breaker { get; init; }

    /// <summary>Its ungrounded wires, or none when no size carries the breaker.</summary>
    public required ConductorChoice? Wire { get; init; }

    /// <summary>Its ground, AWG copper.</summary>
    public required WireSize Ground { get; init; }

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

    internal static Feeder Of(
        Job job,
        HouseShape house,
        CodeEdition edition,
        CableRouter runs,
        Panel panel,
        ImmutableArray<CircuitAnalysis> circuits,
        ServiceCase service,
        int all
    )
    {
        if (edition.Board is not null)
            return OnBoard(job, house, edition, runs, panel, circuits);

        // Behind a disconnect outside a feeder carries everything; elsewhere it carries a part of the dwelling.
        var whole = all > 0 && circuits.Length == all;
        var leastWhole = edition.Number("optionalLeastA").Whole;
        var counted = whole ? service : LoadCase.OfFeeder(house, edition, circuits);
        var loads = ServiceLoad.Of(counted, edition);
        var standard = loads[0];
        var optional =
            loads.Length > 1 && whole && (panel.FeederBreaker ?? panel.MainBreaker) >= leastWhole
                ? ServiceLoad.Optional(counted, edition)
                : null;
        var neutral = ServiceLoad.Neutral(counted, edition);
        var load = optional is not null && job.Preferences.ServiceMethod == ServiceMethod.Optional ? optional : standard;
        var connected = circuits.Aggregate(VoltAmperes.Zero, (sum, c) => sum + c.Load.Connected);
        var breaker = panel.FeederBreaker
            ?? edition.BreakerFor(Math.Max(whole ? leastWhole : LeastBreaker, load.Current.Value))
            ?? edition.Breakers[^1];
        var from = panel.FedFrom!;
        var outside = runs.FeederOutside(from, panel.Id);

        // Sheathed cable is for dry places; aluminum cable of the service kind goes by its 75 C column.
        var buriedCable = outside && Burial.MethodOf(job, panel.Id) is OutsideMethod.DirectBurial or OutsideMethod.IndoorCable;
        var conduit = !buriedCable && (panel.FeederMethod == FeederMethod.Conduit || outside);
        var byCable = !conduit && !panel.AluminumFeeder;
        var wire = Conductor.Choose(
            new()
            {
                NonContinuous = new(Math.Min(load.Current.Value, breaker)),
                Breaker = breaker,
                Copper = !panel.AluminumFeeder,
                Method = byCable ? WiringMethod.Cable : WiringMethod.Conduit,
                InsulationC = conduit ? 75 : 90,
                TerminationC = job.Preferences.TerminationC,
                CurrentCarrying = 2,
            },
            edition
        );
        if (wire is not null && wire.Breaker != breaker)
            wire = null;
        if (whole && !byCable && OfDwelling(breaker, !panel.AluminumFeeder, edition) is { } dwelling)
            wire = dwelling;
        var ground = edition.GroundFor(breaker);
        var route = runs.Feeder(from, panel.Id);
        var cut = route.Length + (job.Preferences.PanelMakeUp * 2);
        var drop = wire is null ? 0 : Conductor.DropVolts(route.Length, load.Current, wire.Row) / edition.Supply.Between * 100;
        var run = FeederWay.Of(job, edition, panel, route, outside, conduit);
        var fill =
            conduit && wire is not null && wire.Row.AreaIn2 > 0
                ? ConduitFill.Of(
                    [new(wire.Size, 3), new(ground, 1)],
                    run.Outside == OutsideMethod.RigidConduit ? "rigid" : "pvc40",
                    edition: edition
                )
                : null;
        var metal = panel.AluminumFeeder ? "aluminum" : "copper";
        var forGround = run.Outside == OutsideMethod.DirectBurial ? " for the ground" : "";
        var made =
            wire is null ? "no wire carries it"
            : byCable ? $"{wire.Size}-3 cable{forGround}"
            : conduit
                ? $"3 x {wire.Size} {metal} and {ground} ground"
                    + $"{(fill?.Size is { } size ? $" in {size.Told(job.Units)} {fill.Kind.Name}" : " in conduit")}"
            : $"{wire.Size}-{wire.Size}-{wire.Size} aluminum cable{forGround} with ground";
        var building = !house.BuildingOf(panel.Room).Contains(job.Panels.First(p => p.Id == from).Room);
        return new()
        {
            Whole = whole,
            Case = counted,
            Neutral = neutral,
            Run = run,
            From = from,
            To = panel.Id,
            Load = load,
            Connected = connected,
            Breaker = breaker,
            Wire = wire,
            Ground = ground,
            Conduit = fill,
            Route = route,
            Cut = cut,
            DropPercent = drop,
            ToBuilding = building,
            Made = made,
            Derivation = new("Feeder", $"{breaker} A, {made}")
            {
                Formula = $"{load.Total} / {edition.Supply.Between} = {load.Current.Value:0.0} A",
                Citation = edition.Cite("feeder.size"),
                Because =
                    panel.FeederBreaker is not null ? "As a person says."
                    : whole ? $"The next breaker over its load, {leastWhole} A at least: it carries the whole dwelling."
                    : $"The next breaker over its load, {LeastBreaker} A at least by practice. It does not carry the whole "
                        + "dwelling, so the smaller service sizes do not hold for it.",
                Steps =
                [
                    load.Derivation,
                    .. loads.Length == 1 ? []
                    : optional is null
                        ?
                        [
                            Derivation.Fact(
                                "Optional method",
                                "not for it",
                                whole
                                    ? $"It is for feeders of {edition.Number("optionalLeastA")} A and over "
                                        + $"({edition.Cite("feeder.optional")})."
                                    : $"It is for one set of wires that carries the whole dwelling ({edition.Cite("feeder.optional")})."
                            ),
                        ]
                    : new[] { load == optional ? standard.Derivation : optional.Derivation },
                    neutral,
                    .. wire is null
                        ? []
                        : new[]
                        {
                            wire.Derivation,
                            new Derivation("Equipment ground", $"{ground.Told} copper") { Citation = edition.Cite("wire.ground") },
                        },
                    .. fill is null ? [] : new[] { fill.Derivation },
                    .. run.Steps(edition),
                    new("Way", LengthText.Far(route.Length, job.Units)) { Because = $"{route.Told(job.Units)}." },
                    .. wire is null
                        ? []
                        : new[]
                        {
                            new Derivation("Voltage drop under its load", $"{drop:0.0} percent")
                            {
                                Formula =
                                    $"{Conductor.DropFormula(route.Length, $"{load.Current.Value:0.#}", wire.Row, job.Units)} "
                                    + $"/ {edition.Supply.Between} V",
                                Citation = edition.Cite("wire.drop"),
                                Because =
                                    $"Feeder and branch circuit together {edition.Number("dropPercentInAll")} percent at most, "
                                    + $"{(edition.Rule("wire.drop").Severity == "must" ? "a rule" : "recommended")}.",
                            },
                        },
                ],
            },
        };
    }

    // The dwelling's table, for what carries the whole of it.
    private static ConductorChoice? OfDwelling(int breaker, bool copper, CodeEdition edition)
    {
        if (
            breaker < edition.Number("optionalLeastA")
            || CodeLibrary.Conductors.Service.FirstOrDefault(r => r.Amperes >= breaker) is not { } row
        )
            return null;
        var size = copper ? row.Copper : row.Aluminum;
        return
            (copper ? CodeLibrary.Conductors.Copper : CodeLibrary.Conductors.Aluminum).FirstOrDefault(r => r.Size == size) is not { } wire
            ? null
            : new(
                size,
                new(wire.C75),
                breaker,
                edition.GroundFor(breaker),
                wire,
                new("Wire", $"{size.Told} {(copper ? "copper" : "aluminum")}")
                {
                    Citation = edition.Cite("service.conductor"),
                    Because =
                        $"A feeder of {breaker} A that carries the whole dwelling takes the dwelling's sizes: 83 percent of its rating.",
                }
            );
    }
}
