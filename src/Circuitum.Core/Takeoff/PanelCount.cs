using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>Counts panels with their breakers, and what the service is grounded with.</summary>
internal static class PanelCount
{
    internal static void Count(JobAnalysis a, Tally t)
    {
        foreach (var at in a.Panels)
            Panel(a, t, at);
        foreach (var beyond in a.Panels.Where(p => p.Feeder is { ToBuilding: true }))
            Building(a, t, beyond);
        if (a.Panel is { } main)
            Service(
                a,
                t.At(Subject.Panel(main.Id), main.Room, panel: main.Id, held: "the length of service and grounding wires is assumed"),
                main
            );
    }

    private static void Panel(JobAnalysis a, Tally t, PanelAnalysis of)
    {
        var panel = of.Panel;
        var at = t.At(Subject.Panel(panel.Id), panel.Room, panel: panel.Id);
        var lugs = panel.MainLugs ? "lugs" : "main";
        at.Add(
            "panel",
            1,
            $"{of.Rating}.{panel.Spaces}.{lugs}",
            $"{of.Rating} A, {panel.Spaces} spaces, with {(panel.MainLugs ? "lugs" : "main breaker")}"
        );
        at.Add("ground-bar");
        at.Add("directory");
        at.Work("panel");
        foreach (var row in of.Schedule.Where(r => !r.Free && !r.SecondPole))
            Breaker(a, t, of, row);
        foreach (var row in of.Schedule.Where(r => r.Free && of.Schedule.Any(o => !o.Free && o.Space > r.Space && Beside(o, r))))
            at.Add("filler");
        if (of.Feeder is null && a.Edition.InForce("service.surge"))
            at.Add("surge");
    }

    private static bool Beside(PanelRow one, PanelRow other) => one.Space % 2 == other.Space % 2;

    private static void Breaker(JobAnalysis a, Tally t, PanelAnalysis of, PanelRow row)
    {
        var c = row.Circuit;
        var (poles, amperes) = row.Feeder is { } feeder ? (2, feeder.Breaker) : (c!.Poles, c.Breaker);
        if (amperes == 0)
            return;
        var at = c is null
            ? t.At(Subject.Panel(row.Feeder!.To), of.Panel.Room, panel: of.Panel.Id)
            : t.At(Subject.Circuit(c.Number), of.Panel.Room, c.Number, of.Panel.Id, t.HeldOf(c));
        var mark = c?.Protection.BreakerMark ?? "";
        var protects = mark switch
        {
            "AF" => ", arc-fault",
            "GF" => ", ground-fault",
            "AF GF" => ", arc-fault and ground-fault",
            _ => "",
        };
        var family = row.Family is { Length: > 0 } other ? $", family {other}" : "";
        if (row.Half == TandemHalf.Whole)
            at.Add(
                "breaker",
                1,
                MaterialItem.KeyOf($"{amperes}", $"{poles}-pole", mark, row.Family ?? ""),
                $"breaker, {amperes} A, {(poles == 2 ? "two-pole" : "one-pole")}{protects}{family}"
            );
        else if (row.Half == TandemHalf.Upper || of.Schedule.All(r => r.Space != row.Space || r.Half != TandemHalf.Upper || r.Free))
        {
            // Both halves are one thing to buy.
            var mate = of.Schedule.FirstOrDefault(r => r.Space == row.Space && r != row && !r.Free)?.Circuit?.Breaker ?? amperes;
            at.Add(
                "breaker",
                1,
                MaterialItem.KeyOf("tandem", $"{amperes}-{mate}", row.Family ?? ""),
                $"tandem breaker, {amperes} A and {mate} A{family}"
            );
        }

        at.Work(poles == 2 ? "land-2" : "land-1");
        if (c is { Pair.Kind: PairKind.SharedNeutral, Carried: false, Poles: 1 })
            at.Add("tie");
    }

    // A building that a feeder supplies has electrodes of its own (250.32).
    private static void Building(JobAnalysis a, Tally t, PanelAnalysis of)
    {
        var (rules, panel) = (CodeLibrary.Takeoff.Rules, of.Panel);
        var at = t.At(Subject.Panel(panel.Id), panel.Room, panel: panel.Id);
        at.Add("electrode", rules.Rods, stage: BuyStage.Outside);
        at.Add("electrode-clamp", rules.Rods, stage: BuyStage.Outside);
        if (of.Feeder!.Wire is not { } wire)
            return;
        var electrode = a.Edition.ElectrodeFor(wire.Size).Copper;
        var rod = WireSize.Awg(6) < electrode ? WireSize.Awg(6) : electrode;
        var assumed = t.At(
            Subject.Panel(panel.Id),
            panel.Room,
            panel: panel.Id,
            held: "the length of service and grounding wires is assumed"
        );
        assumed.Along("ground-wire", Length.Feet(rules.RodFeet), $"{rod}", $"{rod} copper", BuyStage.Outside);
    }

    // What the plan does not know the way of is counted over an assumed length, and held back until somebody measures.
    private static void Service(JobAnalysis a, TallyPlace at, Panel main)
    {
        var rules = CodeLibrary.Takeoff.Rules;
        var known = at with { Place = at.Place with { Held = "" } };
        known.Add("electrode", rules.Rods);
        known.Add("electrode-clamp", rules.Rods);
        known.Add("pipe-clamp");
        known.Add("bond-terminal");
        var least = Math.Max(a.Edition.Number("serviceLeastA").Value, main.MainBreaker);
        if (CodeLibrary.Conductors.Service.FirstOrDefault(r => r.Amperes >= least) is not { } row)
            return;
        at.Along("service-wire", Length.Feet(3 * rules.ServiceFeet), $"{row.Copper}", $"{row.Copper} copper");
        var electrode = a.Edition.ElectrodeFor(row.Copper);
        var rod = WireSize.Awg(6) < electrode.Copper ? WireSize.Awg(6) : electrode.Copper;
        at.Along("ground-wire", Length.Feet(rules.RodFeet), $"{rod}", $"{rod} copper");
        at.Along("ground-wire", Length.Feet(rules.PipeFeet), $"{electrode.Copper}", $"{electrode.Copper} copper");
    }
}
