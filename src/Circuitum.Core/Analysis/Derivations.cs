using System.Globalization;
using Circuitum.Core.Circuits;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>
/// The derivations behind the numbers of a house, each by its key. A star stands for the id of a thing: <c>circuit.*.load</c>. A number
/// that is shown with a derivation has its line here.
/// </summary>
internal static class Derivations
{
    private static readonly Dictionary<string, Func<JobAnalysis, string, Derivation?>> All = new()
    {
        ["area"] = (a, _) => FloorArea(a),
        ["box.*.circuit"] = (a, id) => PlanExplain.OfBox(a.House, id),
        ["box.*.fill"] = (a, id) => a.Specs.GetValueOrDefault(id)?.FillDerivation,
        ["box.*.load"] = Load,
        ["cable"] = (a, _) => Cable(a),
        ["circuit.*.division"] = OfCircuit((a, c) => PlanExplain.OfCircuit(a.House, c.Number)),
        ["circuit.*.loop"] = OfCircuit((a, c) => BoardLoop.Of(a, c)?.Derivation),
        ["circuit.*.drop"] = OfCircuit((_, c) => c.DropDerivation),
        ["circuit.*.expected"] = OfCircuit((_, c) => c.Expected.Derivation),
        ["circuit.*.ground"] = OfCircuit((a, c) => c.Ground?.Derivation(a.Edition)),
        ["circuit.*.load"] = OfCircuit((_, c) => c.Load.Derivation),
        ["circuit.*.protection"] = OfCircuit((_, c) => c.ProtectionDerivation),
        ["circuit.*.run"] = OfCircuit((_, c) => c.RunDerivation),
        ["circuit.*.wire"] = OfCircuit((_, c) => c.WireDerivation),
        ["conductors"] = (a, _) => ServiceSheet.Of(a).Conductors,
        ["feeder.*"] = (a, id) => PanelOf(a, id)?.Feeder?.Derivation,
        ["legs"] = (a, _) => a.Panel is { } service ? Legs(a, service.Id) : null,
        ["legs.*"] = Legs,
        ["neutral"] = (a, _) => ServiceSheet.Of(a).Neutral,
        ["outside.*"] = (a, id) => a.Outside.FirstOrDefault(o => o.CableSegment.To == id)?.Derivation(a.Edition),
        ["plan"] = (a, _) => PlanExplain.OfPlan(a.House),
        ["room.*.area"] = InsideArea,
        ["room.*.spaces"] = WallSpaces,
        ["service"] = (a, _) => a.Service.Derivation,
        ["service.optional"] = (a, _) => a.ServiceLoads[^1].Derivation,
        ["service.standard"] = (a, _) => a.ServiceLoads[0].Derivation,
        ["spaces"] = (a, _) => Spaces(a),
    };

    /// <summary>The derivation of a key, or none.</summary>
    internal static Derivation? Of(JobAnalysis a, DerivationKey key)
    {
        if (All.TryGetValue(key.Whole, out var whole))
            return whole(a, "");
        if (All.TryGetValue($"{key.Kind}.*.{key.What}", out var part) && part(a, key.Id) is { } told)
            return told;

        // The id of a panel or of a box may itself have dots.
        return All.TryGetValue($"{key.Kind}.*", out var thing) ? thing(a, key.Whole[(key.Kind.Length + 1)..]) : null;
    }

    private static Func<JobAnalysis, string, Derivation?> OfCircuit(Func<JobAnalysis, CircuitAnalysis, Derivation?> why) =>
        (a, id) =>
            int.TryParse(id, NumberStyles.None, CultureInfo.InvariantCulture, out var n) && a.CircuitByNumber(n) is { } c
                ? why(a, c)
                : null;

    private static PanelAnalysis? PanelOf(JobAnalysis a, string id) => a.Panels.FirstOrDefault(p => p.Panel.Id == id);

    private static Derivation? Load(JobAnalysis a, string id)
    {
        if (a.Boxes.GetValueOrDefault(id) is not { } box)
            return null;
        var load = BoxLoad.Of(a.Job, box);
        return new("Planned load", $"{load.Load}")
        {
            Formula = load.Continuous ? "continuous: counts at 125 percent for wire and breaker" : "",
            Because = load.Source,
        };
    }

    private static Derivation? Legs(JobAnalysis a, string id)
    {
        if (PanelOf(a, id) is { } board && BoardSheet.Of(a, board) is { } sheet)
            return sheet.Balance;
        if (PanelOf(a, id) is not { } legs)
            return null;
        return new("Legs", $"{legs.Lines}")
        {
            Formula = $"difference {legs.Lines.Gap.Value:#,0} VA",
            Because =
                "Two-pole breakers load both legs alike; the one-pole ones are divided so that the difference"
                + $"{(a.Job.Preferences.LegBalance == LegBalanceBy.Expected ? " of what is expected" : "")} "
                + "is the least that the held places allow.",
            Steps =
            [
                new("Expected on an ordinary evening", $"{legs.Expected}")
                {
                    Formula = $"difference {legs.Expected.Gap.Value:#,0} VA",
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

    private static Derivation? InsideArea(JobAnalysis a, string id)
    {
        if (a.Job.RoomById(id) is not { } room)
            return null;
        return new("Inside area", Measure.FloorArea.Show(a.House[room.Id].AreaSqFt, a.Units, 1))
        {
            Because = "By the inside faces of its walls.",
            Steps =
            [
                .. a.House[room.Id]
                    .Walls.Select(w =>
                        Derivation.Fact(
                            $"Wall {w.Index}, {LabelWriter.Facing(a.House[room.Id], w.Index)}",
                            LengthText.Show(w.Length, a.Units)
                        )
                    ),
            ],
        };
    }

    private static Derivation? WallSpaces(JobAnalysis a, string id)
    {
        if (a.Job.RoomById(id) is not { } walled)
            return null;
        var spaces = BoxLayout.WallSpaces.Of(a.House[walled.Id], a.Job, a.Edition.Number("wallSpaceLeastIn").Length);
        return new("Wall spaces", LengthText.Show(spaces.Aggregate(Length.Zero, (sum, s) => sum + s.Length), a.Units))
        {
            Because =
                $"Along the floor line, between doorways, fixed cabinets and other breaks; {a.Edition.Number("wallSpaceLeastIn")} "
                + "and wider count.",
            Citation = a.Edition.Cite("box.wall"),
            Steps =
            [
                .. spaces.Select(
                    (s, i) =>
                        Derivation.Fact(
                            $"Space {i + 1}, from the "
                                + $"{LabelWriter.Facing(a.House[walled.Id], a.House[walled.Id].FromPerimeter(s.Start).Wall)} wall",
                            LengthText.Show(s.Length, a.Units)
                        )
                ),
            ],
        };
    }

    private static Derivation Cable(JobAnalysis a) =>
        new("Cable to buy", LengthText.Far(a.CableFeet, a.Units))
        {
            Formula = $"{LengthText.Far(a.Cable.ByType.Sum(x => x.Cut.InFeet), a.Units)} + {a.Job.Preferences.WastePercent} percent",
            Because =
                "Estimated runs with make-up at each box and in the panel, and waste."
                + $"{(a.Outside.Any(o => o.Fill is not null) ? " What is in conduit outside is wire, not cable." : "")}",
            Steps =
            [
                .. a.Cable.ByType.Select(g => Derivation.Fact(g.Cable, LengthText.Far(g.Cut, a.Units))),
                .. a.Cable.Conduit.Select(m => Derivation.Fact(m.What, $"{LengthText.Far(m.Feet, a.Units)} to buy", "Outside the house.")),
            ],
        };

    private static Derivation Spaces(JobAnalysis a) =>
        new("Spaces used", $"{a.SpacesUsed} of {a.Panel?.Spaces ?? 0}")
        {
            Formula = $"{a.Circuits.Count(x => x.Poles == 2)} two-pole x 2 + {a.Circuits.Count(x => x.Poles == 1)} one-pole",
            Because =
                "The job wants "
                + $"{(a.Job.Preferences.SpareSpaces is { } spare ? $"{spare}" : $"{a.Job.Preferences.SparePercent} percent")} "
                + "kept free.",
        };

    private static Derivation FloorArea(JobAnalysis a) =>
        new("Floor area by the outside line", Measure.FloorArea.Show(a.AreaSqFt, a.Units))
        {
            Because =
                $"Rooms that count, each grown by the outside wall of {LengthText.Show(a.Job.Frame.OutsideWall, a.Units)}, joined, "
                + "storey by storey. Garage, porch and deck do not count.",
            Citation = a.Edition.Cite("circuit.generalCount"),
        };
}
