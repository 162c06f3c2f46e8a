using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;
using Circuitum.Core.Protection;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>Everything that is derived from a job. Never stored; worked out again after every edit.</summary>
public sealed record JobAnalysis
{
    /// <summary>The job.</summary>
    public required Job Job { get; init; }

    /// <summary>The units in which its lengths are told.</summary>
    public LengthUnits Units => Job.Units;

    /// <summary>Its geometry.</summary>
    public required HouseShape House { get; init; }

    /// <summary>Its edition.</summary>
    public required CodeEdition Edition { get; init; }

    /// <summary>Boxes by id.</summary>
    public required ImmutableDictionary<string, Box> Boxes { get; init; }

    /// <summary>Circuits by rising number.</summary>
    public required ImmutableArray<CircuitAnalysis> Circuits { get; init; }

    /// <summary>What each box has to be, by its id.</summary>
    public ImmutableDictionary<string, BoxSpec> Specs => SpecsWhenAsked.Value;

    /// <summary>The same, worked out when somebody first asks: planning needs circuits and spaces alone.</summary>
    public required Lazy<ImmutableDictionary<string, BoxSpec>> SpecsWhenAsked { get; init; }

    /// <summary>The panels, the one at the service first.</summary>
    public required ImmutableArray<PanelAnalysis> Panels { get; init; }

    /// <summary>Rows of the panel at the service, one a space, or empty without a panel.</summary>
    public ImmutableArray<PanelRow> Schedule => Panels.Length == 0 ? [] : Panels[0].Schedule;

    /// <summary>The panel with an id, else the one at the service, else none.</summary>
    public PanelAnalysis? PanelById(string? id) => Panels.FirstOrDefault(p => p.Panel.Id == id) ?? Panels.FirstOrDefault();

    /// <summary>The row in which a circuit's breaker is, of whatever panel, or none.</summary>
    public PanelRow? RowOf(CircuitAnalysis circuit) => Panels.SelectMany(p => p.Schedule).FirstOrDefault(r => r.Circuit == circuit);

    /// <summary>Floor area by the outside line, in square feet.</summary>
    public required double AreaSqFt { get; init; }

    /// <summary>The floor area as the edition's load counts it, in words.</summary>
    public string AreaInWords =>
        Edition.Ways.Service == ServiceWay.ByArea
            ? $"{ServiceCase.InsideSqM:#,0} m2 inside the outer walls"
                + (ServiceCase.BasementSqM > 0 ? $" and {ServiceCase.BasementSqM:#,0} m2 of basement" : "")
            : $"{FloorArea.Show(AreaSqFt, Units)} by the outside line";

    /// <summary>What the service loads are worked out from.</summary>
    public required ServiceCase ServiceCase { get; init; }

    /// <summary>The service load by every method of the edition.</summary>
    public required ImmutableArray<ServiceLoad> ServiceLoads { get; init; }

    /// <summary>What was found wrong or worth a look, gravest first.</summary>
    public ImmutableArray<Finding> Findings { get; init; } = [];

    /// <summary>The service load by the method that the job uses; the optional one only from 100 A.</summary>
    public ServiceLoad Service => LoadBy(Job.Preferences.ServiceMethod, (Panel?.MainBreaker ?? 100) >= 100);

    private ServiceLoad LoadBy(ServiceMethod method, bool optional) =>
        ServiceLoads.FirstOrDefault(l => l.Method == (optional ? method : ServiceMethod.Standard)) ?? ServiceLoads[0];

    /// <summary>The panel, or none.</summary>
    public Panel? Panel => Job.Panels.FirstOrDefault();

    /// <summary>Spaces taken by breakers in the panel at the service.</summary>
    public int SpacesUsed => Panels.Length == 0 ? 0 : Panels[0].SpacesUsed;

    /// <summary>Cable to buy in feet, with waste.</summary>
    public double CableFeet => Cable.Feet;

    /// <summary>Cable, conduit and wire summed up.</summary>
    public CableTotals Cable => new(this);

    /// <summary>Connected load on each line of the panel at the service.</summary>
    public LineLoads Lines => Panels.Length == 0 ? LineLoads.None(Edition.Supply) : Panels[0].Lines;

    /// <summary>The way of every cable, by the box that it feeds and the one that it comes from; worked out when first asked for.</summary>
    public required Lazy<ImmutableDictionary<(string? From, string To), CableRoute>> Routes { get; init; }

    /// <summary>The way of a cable of its circuits.</summary>
    public CableRoute RouteOf(CableSegment segment) => Routes.Value[(segment.From, segment.To)];

    /// <summary>Circuits that would lose ampacity in a hole with others, and what is done about it.</summary>
    public ImmutableArray<SharedHole> SharedHoles { get; init; } = [];

    /// <summary>Circuits whose cables have holes of their own, because among others they would need larger wire.</summary>
    public ImmutableHashSet<int> Apart { get; init; } = [];

    /// <summary>What of the cables lies outside the house.</summary>
    public ImmutableArray<OutsideStretch> Outside { get; init; } = [];

    /// <summary>What of a cable lies outside the house, or none.</summary>
    public OutsideStretch? OutsideOf(CableSegment segment) =>
        Outside.FirstOrDefault(o => o.CableSegment.From == segment.From && o.CableSegment.To == segment.To);

    /// <summary>The circuit that a box is on, or none.</summary>
    public CircuitAnalysis? CircuitOf(string boxId) => ByBox.GetValueOrDefault(boxId);

    /// <summary>
    /// What a box must be protected against and why; nothing for one on no circuit, or a disconnect, which is only passed through.
    /// </summary>
    public ImmutableArray<ProtectionNeed> NeedsOf(string boxId) =>
        CircuitOf(boxId)?.Needs.GetValueOrDefault(boxId) is { IsDefault: false } needs ? needs : [];

    /// <summary>The circuit with a number, or none.</summary>
    public CircuitAnalysis? CircuitByNumber(int number) => Circuits.FirstOrDefault(c => c.Number == number);

    /// <summary>Circuits by the boxes on them.</summary>
    public required ImmutableDictionary<string, CircuitAnalysis> ByBox { get; init; }

    /// <summary>
    /// What is written on both ends of a home run, such as <c>HR-07 12-2 Bath receptacles</c>, with the mate of a shared one.
    /// </summary>
    public string HomeRunLabel(CircuitAnalysis circuit)
    {
        var size = Job.Preferences.HomeRunLabel == Jobs.HomeRunLabel.WithBreaker ? $" {circuit.Breaker} A" : "";
        var mate = circuit.Pair is { } pair
            ? $" (with HR-{pair.MateOf(circuit.Number):00}, {Edition.Colours.Lines[circuit.Carried ? 1 : 0]} is {circuit.Number})"
            : "";
        var cable = circuit.Carried ? CircuitByNumber(circuit.Pair!.First)?.Cable ?? circuit.Cable : circuit.Cable;
        return $"HR-{circuit.Number:00} {cable}{size} {circuit.Label}{mate}";
    }

    /// <summary>The derivation behind a shown number, or none.</summary>
    /// <param name="key">Such as <c>circuit.7.load</c>, <c>room.kitchen.area</c>, <c>service.optional</c> or <c>cable</c>.</param>
    public Derivation? Why(string key) => Derivations.Of(this, DerivationKey.Parse(key));
}
