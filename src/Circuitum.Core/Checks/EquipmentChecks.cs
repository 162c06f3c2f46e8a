using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>What cuts equipment off, where its plug is, and how boxes, holes and staples sit in the frame.</summary>
internal sealed class EquipmentChecks : ICheck
{
    public ImmutableArray<string> Rules =>
        ["box.beside", "box.body", "box.control", "box.disconnect", "box.pendant", "switch.neutral", "wire.hole", "wire.staple"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var appliance in a.Job.Appliances)
        {
            foreach (var found in Of(a, appliance))
                yield return found;
        }

        var near = a.Job.Decisions.Boxes.Select(b => b.Room).Distinct().ToDictionary(room => room, room => Near(a, room));
        foreach (var box in a.Job.Decisions.Boxes)
        {
            if (BoxBody.WhyNot(a.House, box, near[box.Room]) is { } why)
            {
                var there = BoxBody.Settle(a.House, box, near[box.Room], 36);
                yield return CheckList.Make(a, "box.body", $"{a.House[box.Room].Room.Name}: {box.Id} {why}.", Subject.Box(box.Id)) with
                {
                    Fix =
                        there.Along == box.Along
                            ? null
                            : new("Move it to where it can stand", new MoveBox(box.Id, box.Wall, there.Along, null)),
                };
            }

            if (
                box is { Kind: BoxKind.Light, Fixture: LightStyle.Pendant, Outside: false }
                && a.House[box.Room].Room.Kind == RoomKind.Closet
            )
                yield return CheckList.Make(
                    a,
                    "box.pendant",
                    $"{a.House[box.Room].Room.Name}: {box.Id} is a pendant; none may hang in a clothes closet.",
                    Subject.Box(box.Id)
                ) with
                {
                    Fix = BoxFixes.Change("Make it a recessed one", box.Id, new() { Fixture = LightStyle.Recessed }),
                };
            if (
                box.Gangs.Length > 0
                && a.CircuitOf(box.Id) is { } c
                && !BoxCables.In(c, box.Id).Any(e => e.Conductors > 2 || c.Load.Volts == 120)
            )
                yield return CheckList.Make(
                    a,
                    "switch.neutral",
                    $"{a.House[box.Room].Room.Name}: no neutral comes to {box.Id}.",
                    Subject.Box(box.Id),
                    Subject.Circuit(c.Number)
                );
        }

        foreach (var found in Frame(a))
            yield return found;
    }

    // The boxes of a room and of the rooms around it, which alone can be in its way.
    private static List<Box> Near(JobAnalysis a, string id)
    {
        var room = a.House[id];
        const double Wall = HouseShape.ThickestWallInches;
        bool Beside(RoomShape o) =>
            o.Room.Storey == room.Room.Storey
            && (o.MinX - room.MaxX).InInches <= Wall
            && (room.MinX - o.MaxX).InInches <= Wall
            && (o.MinY - room.MaxY).InInches <= Wall
            && (room.MinY - o.MaxY).InInches <= Wall;
        var beside = a.House.Rooms.Where(Beside).Select(r => r.Room.Id).ToHashSet();
        return [.. a.Job.Decisions.Boxes.Where(b => beside.Contains(b.Room))];
    }

    private static IEnumerable<Finding> Of(JobAnalysis a, Appliance appliance)
    {
        var facts = ApplianceFacts.Of(appliance);
        var room = a.House[appliance.Room];
        var cutoff = a.Job.Decisions.Boxes.FirstOrDefault(b => b.Serves == appliance.Id);
        var rule = facts.Cutoff == Cutoff.Control ? "box.control" : "box.disconnect";
        if (EquipmentRules.Missing(a.House, a.Job.Decisions.Boxes, appliance))
            yield return CheckList.Make(
                a,
                rule,
                facts.Cutoff == Cutoff.Control
                    ? $"{facts.Name} has no switch of its own."
                    : $"{facts.Name} has no {(facts.Cutoff == Cutoff.Service ? "service switch" : "disconnect")} within sight.",
                Subject.Appliance(appliance.Id)
            ) with
            {
                Fix = BoxFixes.Propose(room),
            };
        else if (
            cutoff is not null
            && facts.Cutoff is Cutoff.Sight or Cutoff.Service
            && !EquipmentRules.InSight(a.House, cutoff, appliance)
        )
            yield return CheckList.Make(a, rule, $"{cutoff.Id} is not within sight of {facts.Name}.", Subject.Box(cutoff.Id));

        // Behind an appliance that is built in nobody gets at the plug.
        if (
            facts is { Hardwired: false, Type.OutletBeside: true }
            && a.Job.Decisions.Boxes.FirstOrDefault(b => b.Appliance == appliance.Id) is { Wall: { } wall } outlet
            && appliance.Spot.Wall == wall
            && outlet.Along > appliance.Spot.From
            && outlet.Along < appliance.Spot.From + appliance.Spot.Width
        )
            yield return CheckList.Make(
                a,
                "box.beside",
                $"{room.Room.Name}: the receptacle of {facts.Name} is behind it; it belongs in the space beside it.",
                Subject.Box(outlet.Id)
            ) with
            {
                Fix = new("Move it beside", new MoveBox(outlet.Id, wall, ApplianceOutlets.BesideOf(a.Job, room, appliance), null)),
            };
    }

    // Holes that no plate makes good, and staples farther than the boxes allow (300.4, 314.17(C), 334.30).
    private static IEnumerable<Finding> Frame(JobAnalysis a)
    {
        if (a.Circuits.Length == 0)
            yield break;
        foreach (var line in DrillList.Of(a).Lines.Where(l => l.TooLarge))
            yield return CheckList.Make(
                a,
                "wire.hole",
                $"{line.Where}: a hole of {line.Bit} is larger than the member allows, and one cable needs it. Lead it another "
                    + "way, or fur the wall out."
            );
        var p = a.Job.Preferences;
        var plain = a.Specs.Values.Any(s => s.Entry is { Clamps: false, Metal: false });
        var most = Length.Inches(a.Edition.Number(plain ? "stapleFromPlainBoxIn" : "stapleFromBoxIn"));
        if (p.StapleFromBox > most)
            yield return CheckList.Make(
                a,
                "wire.staple",
                $"The job staples {LengthText.Show(p.StapleFromBox)} from a box; {LengthText.Show(most)} is the most"
                    + $"{(plain ? " at boxes without clamps" : "")}."
            );
        var every = Length.Inches(a.Edition.Number("stapleEveryIn"));
        if (p.StapleEvery > every)
            yield return CheckList.Make(
                a,
                "wire.staple",
                $"The job staples every {LengthText.Show(p.StapleEvery)}; {LengthText.Show(every)} is the most."
            );
    }
}
