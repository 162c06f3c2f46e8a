using System.Collections.Immutable;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
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

    /// <summary>What the service loads are worked out from.</summary>
    public required ServiceCase ServiceCase { get; init; }

    /// <summary>Standard service load.</summary>
    public required ServiceLoad Standard { get; init; }

    /// <summary>Optional service load.</summary>
    public required ServiceLoad Optional { get; init; }

    /// <summary>What was found wrong or worth a look, gravest first.</summary>
    public ImmutableArray<Finding> Findings { get; init; } = [];

    /// <summary>The service load by the method that the job uses; the optional one only from 100 A.</summary>
    public ServiceLoad Service =>
        Job.Preferences.ServiceMethod == ServiceMethod.Optional && (Panel?.MainBreaker ?? 100) >= 100 ? Optional : Standard;

    /// <summary>The panel, or none.</summary>
    public Panel? Panel => Job.Panels.FirstOrDefault();

    /// <summary>Spaces taken by breakers in the panel at the service.</summary>
    public int SpacesUsed => Panels.Length == 0 ? 0 : Panels[0].SpacesUsed;

    /// <summary>Cable to buy in feet, with waste.</summary>
    public double CableFeet => CableByType.Sum(c => c.Cut.InFeet) * (100 + Job.Preferences.WastePercent) / 100;

    /// <summary>Connected load on leg A of the one-pole breakers and half of the two-pole ones.</summary>
    public VoltAmperes LegA => Schedule.Aggregate(VoltAmperes.Zero, (sum, r) => sum + r.LegA);

    /// <summary>Connected load on leg B.</summary>
    public VoltAmperes LegB => Schedule.Aggregate(VoltAmperes.Zero, (sum, r) => sum + r.LegB);

    /// <summary>What each sort of cable comes to, to cut, smallest name first; waste and what is in conduit outside not counted.</summary>
    public ImmutableArray<(string Cable, Length Cut)> CableByType =>
        [
            .. Circuits
                .SelectMany(c => c.Run.Cables.Select(h => InHouse(c, h)))
                .Where(x => x.Cut > Length.Zero)
                .GroupBy(x => x.Cable)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => (g.Key, g.Aggregate(Length.Zero, (sum, x) => sum + x.Cut))),
        ];

    private (string Cable, Length Cut) InHouse(CircuitAnalysis c, Hop hop)
    {
        if (Outside.Length == 0 || OutsideOf(hop) is not { } outside)
            return (c.CableOf(hop), hop.Cut);
        if (outside.Fill is null)
            return (outside.Method == OutsideMethod.DirectBurial ? $"{c.CableOf(hop)} for the ground" : c.CableOf(hop), hop.Cut);

        // Where the cable ends and the wires begin is a box on the wall; nothing of the cable is left when all of the way is outside.
        return (
            c.CableOf(hop),
            outside.Length >= hop.Way - Length.Feet(1) ? Length.Zero : Length.Max(Length.Zero, hop.Cut - outside.Length)
        );
    }

    /// <summary>The way of every cable, by the box that it feeds and the one that it comes from; worked out when first asked for.</summary>
    public required Lazy<ImmutableDictionary<(string? From, string To), CableRoute>> Routes { get; init; }

    /// <summary>The way of a cable of its circuits.</summary>
    public CableRoute RouteOf(Hop hop) => Routes.Value[(hop.From, hop.To)];

    /// <summary>Circuits that would lose ampacity in a hole with others, and what is done about it.</summary>
    public ImmutableArray<SharedHole> SharedHoles { get; init; } = [];

    /// <summary>Circuits whose cables have holes of their own, because among others they would need larger wire.</summary>
    public ImmutableHashSet<int> Apart { get; init; } = [];

    /// <summary>What of the cables lies outside the house.</summary>
    public ImmutableArray<OutsideStretch> Outside { get; init; } = [];

    /// <summary>What of a cable lies outside the house, or none.</summary>
    public OutsideStretch? OutsideOf(Hop hop) => Outside.FirstOrDefault(o => o.Hop.From == hop.From && o.Hop.To == hop.To);

    /// <summary>Conduit and single wires for what is outside, in feet to buy with waste.</summary>
    public ImmutableArray<(string What, double Feet)> OutsideMaterial =>
        [
            .. Outside
                .Where(o => o.Fill?.Size is not null)
                .SelectMany(o =>
                    o.Wires.Select(w =>
                            (What: $"{w.Size} AWG wet-rated wire", Feet: w.Count * (o.Length + (Job.Preferences.BoxMakeUp * 2)).InFeet)
                        )
                        .Prepend((What: $"{o.Fill!.Size!.Size} in conduit, {o.Fill.Kind.Name}", Feet: o.Length.InFeet))
                )
                .GroupBy(x => x.What)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => (g.Key, g.Sum(x => x.Feet) * (100 + Job.Preferences.WastePercent) / 100)),
        ];

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
            ? $" (with HR-{pair.MateOf(circuit.Number):00}, {(circuit.Carried ? "red" : "black")} is {circuit.Number})"
            : "";
        var cable = circuit.Carried ? CircuitByNumber(circuit.Pair!.First)?.Cable ?? circuit.Cable : circuit.Cable;
        return $"HR-{circuit.Number:00} {cable}{size} {circuit.Label}{mate}";
    }

    /// <summary>The derivation behind a shown number, or none.</summary>
    /// <param name="key">Such as <c>circuit.7.load</c>, <c>room.kitchen.area</c>, <c>service.optional</c> or <c>cable</c>.</param>
    public Derivation? Why(string key)
    {
        var part = key.Split('.');
        if (part is ["circuit", var number, var what] && int.TryParse(number, out var n) && CircuitByNumber(n) is { } c)
        {
            return what switch
            {
                "load" => c.Load.Derivation,
                "wire" => c.WireDerivation,
                "drop" => c.DropDerivation,
                "expected" => c.Expected.Derivation,
                "ground" => c.Ground?.Derivation(Edition),
                "run" => c.RunDerivation,
                "protection" => c.ProtectionDerivation,
                "division" => PlanExplain.OfCircuit(House, c.Number),
                _ => null,
            };
        }

        if (
            key.StartsWith("box.", StringComparison.Ordinal)
            && key.EndsWith(".load", StringComparison.Ordinal)
            && Boxes.GetValueOrDefault(key[4..^5]) is { } box
        )
        {
            var load = BoxLoad.Of(Job, box);
            return new("Planned load", $"{load.Load}")
            {
                Formula = load.Continuous ? "continuous: counts at 125 percent for wire and breaker" : "",
                Because = load.Source,
            };
        }

        if (part is ["feeder", ..] && Panels.FirstOrDefault(p => p.Panel.Id == key[7..])?.Feeder is { } feeder)
            return feeder.Derivation;
        if (part is ["legs", ..] && key.Length > 5 && Panels.FirstOrDefault(p => p.Panel.Id == key[5..]) is { } legs)
        {
            return new("Legs", $"A {legs.LegA}, B {legs.LegB}")
            {
                Formula = $"difference {Math.Abs(legs.LegA.Value - legs.LegB.Value):#,0} VA",
                Because =
                    "Two-pole breakers load both legs alike; the one-pole ones are divided so that the difference"
                    + $"{(Job.Preferences.LegBalance == LegBalanceBy.Expected ? " of what is expected" : "")} "
                    + "is the least that the held places allow.",
                Steps =
                [
                    new("Expected on an ordinary evening", $"A {legs.Expected(true)}, B {legs.Expected(false)}")
                    {
                        Formula = $"difference {Math.Abs(legs.Expected(true).Value - legs.Expected(false).Value):#,0} VA",
                        Citation = "practice",
                        Steps =
                        [
                            .. legs
                                .Schedule.Where(r => r.Circuit is { Poles: 1 })
                                .Select(r => r.Circuit!.Expected.Derivation with { What = $"{r.Place}, {r.Circuit.Label}" }),
                        ],
                    },
                ],
            };
        }

        if (part is ["outside", ..] && Outside.FirstOrDefault(o => o.Hop.To == key[8..]) is { } stretch)
            return stretch.Derivation(Edition);
        if (key == "legs" && Panel is { } service)
            return Why($"legs.{service.Id}");
        if (key == "plan")
            return PlanExplain.OfPlan(House);
        if (key.StartsWith("box.", StringComparison.Ordinal) && key.EndsWith(".circuit", StringComparison.Ordinal))
            return PlanExplain.OfBox(House, key[4..^8]);
        if (
            key.StartsWith("box.", StringComparison.Ordinal)
            && key.EndsWith(".fill", StringComparison.Ordinal)
            && Specs.GetValueOrDefault(key[4..^5])?.FillDerivation is { } fill
        )
            return fill;
        if (
            key.StartsWith("room.", StringComparison.Ordinal)
            && key.EndsWith(".area", StringComparison.Ordinal)
            && Job.RoomById(key[5..^5]) is { } room
        )
        {
            return new("Inside area", $"{House[room.Id].AreaSqFt:0.0} sq ft")
            {
                Because = "By the inside faces of its walls.",
                Steps =
                [
                    .. House[room.Id]
                        .Walls.Select(w =>
                            Derivation.Fact($"Wall {w.Index}, {LabelWriter.Facing(House[room.Id], w.Index)}", LengthText.Show(w.Length))
                        ),
                ],
            };
        }

        if (
            key.StartsWith("room.", StringComparison.Ordinal)
            && key.EndsWith(".spaces", StringComparison.Ordinal)
            && Job.RoomById(key[5..^7]) is { } walled
        )
        {
            var spaces = BoxLayout.WallSpaces.Of(House[walled.Id], Job, Length.Inches(Edition.Number("wallSpaceLeastIn")));
            return new("Wall spaces", LengthText.Show(spaces.Aggregate(Length.Zero, (sum, s) => sum + s.Length)))
            {
                Because =
                    $"Along the floor line, between doorways, fixed cabinets and other breaks; {Edition.Say("wallSpaceLeastIn")} "
                    + "and wider count.",
                Citation = Edition.Cite("box.wall"),
                Steps =
                [
                    .. spaces.Select(
                        (s, i) =>
                            Derivation.Fact(
                                $"Space {i + 1}, from the "
                                    + $"{LabelWriter.Facing(House[walled.Id], House[walled.Id].FromPerimeter(s.Start).Wall)} wall",
                                LengthText.Show(s.Length)
                            )
                    ),
                ],
            };
        }

        return key switch
        {
            "service.standard" => Standard.Derivation,
            "service.optional" => Optional.Derivation,
            "service" => Service.Derivation,
            "neutral" => ServiceSheet.Of(this).Neutral,
            "conductors" => ServiceSheet.Of(this).Conductors,
            "cable" => new("Cable to buy", $"{CableFeet:0} ft")
            {
                Formula = $"{CableByType.Sum(x => x.Cut.InFeet):0} ft + {Job.Preferences.WastePercent} percent",
                Because =
                    "Estimated runs with make-up at each box and in the panel, and waste."
                    + $"{(Outside.Any(o => o.Fill is not null) ? " What is in conduit outside is wire, not cable." : "")}",
                Steps =
                [
                    .. CableByType.Select(g => Derivation.Fact(g.Cable, $"{g.Cut.InFeet:0} ft")),
                    .. OutsideMaterial.Select(m => Derivation.Fact(m.What, $"{m.Feet:0} ft to buy", "Outside the house.")),
                ],
            },
            "spaces" => new("Spaces used", $"{SpacesUsed} of {Panel?.Spaces ?? 0}")
            {
                Formula = $"{Circuits.Count(x => x.Poles == 2)} two-pole x 2 + {Circuits.Count(x => x.Poles == 1)} one-pole",
                Because =
                    "The job wants "
                    + $"{(Job.Preferences.SpareSpaces is { } spare ? $"{spare}" : $"{Job.Preferences.SparePercent} percent")} "
                    + "kept free.",
            },
            "area" => new("Floor area by the outside line", $"{AreaSqFt:#,0} sq ft")
            {
                Because =
                    $"Rooms that count, each grown by the outside wall of {LengthText.Show(Job.Frame.OutsideWall)}, joined, "
                    + "storey by storey. Garage, porch and deck do not count.",
                Citation = Edition.Cite("circuit.generalCount"),
            },
            _ => null,
        };
    }
}
