using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>The door to the checks: runs them all and sorts what they find.</summary>
public static class CheckList
{
    private static readonly ImmutableArray<ICheck> All =
    [
        new RoomsApart(),
        new WaysIn(),
        new DoorSwings(),
        new WorkingSpace(),
        new WallReceptacles(),
        new CounterReceptacles(),
        new RoomReceptacles(),
        new HouseReceptacles(),
        new TubZone(),
        new LightsAndSwitches(),
        new SwitchesInReach(),
        new LightPlaces(),
        new Alarms(),
        new ApplianceBoxes(),
        new BoxPlaces(),
        new EquipmentChecks(),
        new BoxesOnCircuits(),
        new RequiredCircuits(),
        new IndividualCircuits(),
        new CircuitMembers(),
        new CircuitLoads(),
        new ZoneChecks(),
        new WireSizes(),
        new OutsideChecks(),
        new DataCableChecks(),
        new ProtectionCover(),
        new SharedHomeRuns(),
        new PulledRuns(),
        new PanelChecks(),
        new LocalRules(),
        new ServiceChecks(),
        new FeederChecks(),
        new BuildingChecks(),
        new WiringChecks(),
        new Nameplates(),
    ];

    /// <summary>The rules whose breach gives a finding.</summary>
    public static ImmutableHashSet<string> Checked { get; } =
    [
        "appliance.assumed",
        "box.accessory",
        "box.body",
        "box.beside",
        "box.control",
        "box.disconnect",
        "box.pendant",
        "box.alarm",
        "box.alarmJoined",
        "box.alarmPlace",
        "box.appliance",
        "box.basement",
        "box.bathroom",
        "box.closer",
        "box.closet",
        "box.counter",
        "box.door",
        "box.equipmentLight",
        "box.fan",
        "box.foyer",
        "box.garage",
        "box.hallway",
        "box.held",
        "box.hvac",
        "box.island",
        "box.laundry",
        "box.light",
        "box.outdoor",
        "box.outsideDoor",
        "box.rating",
        "box.stairs",
        "box.switchReach",
        "box.tub",
        "box.volume",
        "box.wall",
        "box.wet",
        "circuit.alone",
        "circuit.apart",
        "circuit.bathroom",
        "circuit.count",
        "circuit.dark",
        "circuit.garage",
        "circuit.generalCount",
        "circuit.half",
        "circuit.individual",
        "circuit.laundry",
        "circuit.measured",
        "circuit.mostReceptacles",
        "circuit.overload",
        "circuit.plugIn",
        "circuit.pulled",
        "circuit.receptacleBreaker",
        "circuit.smallAppliance",
        "circuit.pair",
        "circuit.parallel",
        "circuit.sharedNeutral",
        "circuit.switched",
        "circuit.unassigned",
        "circuit.volts",
        "circuit.zone",
        "feeder.building",
        "feeder.disconnect",
        "feeder.oneSupply",
        "feeder.rating",
        "feeder.size",
        "panel.clear",
        "panel.family",
        "panel.handle",
        "panel.label",
        "panel.legs",
        "panel.mixed",
        "panel.place",
        "panel.space",
        "panel.spaces",
        "panel.spare",
        "panel.tandem",
        "plan.door",
        "plan.gap",
        "plan.overlap",
        "plan.swing",
        "protect.missing",
        "protect.reach",
        "protect.shared",
        "service.size",
        "wire.bends",
        "wire.data",
        "wire.depth",
        "switch.neutral",
        "wire.drop",
        "wire.ground",
        "wire.hole",
        "wire.staple",
        "wire.hvac",
        "wire.motor",
        "wire.noWay",
        "wire.nonMotor",
        "wire.outside",
        "wire.range",
        "wire.size",
    ];

    /// <summary>The rules that the product only names: nobody but the inspector looks at them.</summary>
    public static ImmutableHashSet<string> LeftToTheInspector { get; } = ["service.surge", "service.emergency"];

    /// <summary>All findings, gravest first, then by rule and place.</summary>
    public static ImmutableArray<Finding> Run(JobAnalysis analysis) =>
        [
            .. All.SelectMany(c => c.Find(analysis))
                .Where(f => analysis.Edition.InForce(f.RuleId))
                .OrderBy(f => f.Severity)
                .ThenBy(f => f.RuleId, StringComparer.Ordinal)
                .ThenBy(f => f.Sentence, StringComparer.Ordinal),
        ];

    /// <summary>What is found of one circuit by itself: its members, load, count, wire and protection.</summary>
    /// <param name="analysis">The house.</param>
    /// <param name="circuit">The circuit as it would be.</param>
    public static ImmutableArray<Finding> OfCircuit(JobAnalysis analysis, CircuitAnalysis circuit)
    {
        var alone = analysis with { Circuits = [circuit], ByBox = circuit.Run.Hops.ToImmutableDictionary(h => h.To, _ => circuit) };
        ICheck[] checks = [new IndividualCircuits(), new CircuitMembers(), new CircuitLoads(), new WireSizes(), new ProtectionCover()];
        return [.. checks.SelectMany(c => c.Find(alone)).Where(f => analysis.Edition.InForce(f.RuleId)).OrderBy(f => f.Severity)];
    }

    internal static Finding Make(JobAnalysis analysis, string rule, string sentence, params string[] subjects)
    {
        var r = analysis.Edition.Rule(rule);
        return new(rule, Enum.Parse<Severity>(r.Severity, ignoreCase: true), r.Cite, sentence, [.. subjects]);
    }
}
