using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Lights outside doors, in closets, and where equipment is served; fan boxes.</summary>
internal sealed class LightPlaces : ICheck
{
    public ImmutableArray<string> Rules => ["box.closet", "box.equipmentLight", "box.fan", "box.outsideDoor"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var boxes = a.Job.Decisions.Boxes;
        var switched = boxes.SelectMany(b => b.Gangs).SelectMany(g => g.Lights).ToHashSet();
        var ground = OutdoorRules.Ground(a.House)?.Id;
        foreach (var shape in a.House.Rooms)
        {
            foreach (var door in OutdoorLightRules.DoorsOut(shape).Where(_ => shape.Room.Storey == ground && !shape.Room.Kind.OpenAir()))
            {
                if (!boxes.Any(b => LightRules.Lights(b, shape, door) && switched.Contains(b.Id)))
                    yield return CheckList.Make(
                        a,
                        "box.outsideDoor",
                        $"{shape.Room.Name}: no switched light outside the door.",
                        Subject.Opening(door.Opening.Id)
                    ) with
                    {
                        Fix = BoxFixes.Propose(shape),
                    };
            }

            if (
                LightRules.Serviced(a.Job, shape.Room)
                || (shape.Room.Kind == RoomKind.Utility && a.Job.Appliances.Any(x => x.Room == shape.Room.Id))
            )
            {
                if (!boxes.Any(b => b.Kind == BoxKind.Light && b.Room == shape.Room.Id && switched.Contains(b.Id)))
                    yield return CheckList.Make(
                        a,
                        "box.equipmentLight",
                        $"{shape.Room.Name} holds equipment or storage and has no switched light.",
                        Subject.Room(shape.Room.Id)
                    ) with
                    {
                        Fix = BoxFixes.Propose(shape),
                    };
            }
        }

        foreach (var light in boxes.Where(b => b.Kind == BoxKind.Light && !b.Outside && a.House[b.Room].Room.Kind == RoomKind.Closet))
        {
            var (clear, needed) = (
                ClosetLight.ClearInches(a.House[light.Room], Places.Of(a.House, light)),
                ClosetLight.Needed(a.Edition, light)
            );
            if (clear < needed - 0.01)
                yield return CheckList.Make(
                    a,
                    "box.closet",
                    $"{a.House[light.Room].Room.Name}: the light {light.Id} is {Math.Max(0, clear):0} in clear of the storage "
                        + $"space; a {(light.Fixture == LightStyle.Recessed ? "recessed" : "surface")} one needs {needed:0}.",
                    Subject.Box(light.Id)
                ) with
                {
                    Fix = ClosetFix(a, light, clear),
                };
        }

        foreach (
            var box in boxes.Where(b =>
                b.Size is not null && BoxHardware.NeedsFanBox(a.House, a.Edition, b) && Codes.CodeLibrary.Boxes[b.Size].Use != "fan"
            )
        )
            yield return CheckList.Make(
                a,
                "box.fan",
                $"{a.House[box.Room].Room.Name}: {box.Id} is a {Codes.CodeLibrary.Boxes[box.Size!].Name}; a fan is likely there.",
                Subject.Box(box.Id)
            ) with
            {
                Fix = BoxFixes.Change("Use a fan-rated box", box.Id, new() { Size = "" }),
            };
    }

    // A recessed one needs less room; else it moves to the clearest place, if that is clear enough.
    private static FindingFix? ClosetFix(JobAnalysis a, Box light, double clear)
    {
        if (light.Wall is not null)
            return null;
        if (light.Fixture != LightStyle.Recessed && clear >= a.Edition.Number("closetClearRecessedIn"))
            return BoxFixes.Change("Make it a recessed one", light.Id, new() { Fixture = LightStyle.Recessed });
        var closet = a.House[light.Room];
        var best = Places.Spread(closet, 16).MaxBy(p => ClosetLight.ClearInches(closet, p));
        return ClosetLight.ClearInches(closet, best) >= ClosetLight.Needed(a.Edition, light) + 0.5
            ? BoxFixes.MoveTo("Move it clear of the shelves", light.Id, best)
            : null;
    }
}
