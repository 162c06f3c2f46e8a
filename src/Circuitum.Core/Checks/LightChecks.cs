using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>210.70: lights and their switches.</summary>
internal sealed class LightsAndSwitches : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var switched = a.Job.Decisions.Boxes.SelectMany(b => b.Gangs).SelectMany(g => g.Lights).ToHashSet();
        foreach (var shape in a.House.Rooms.Where(r => a.Edition.Traits(r.Room.Kind).Light))
        {
            if (shape.Room.Kind == RoomKind.Stairs || (a.Edition.Traits(shape.Room.Kind).Outdoors && !shape.Openings.Any(o => o.IsDoorway)))
                continue;
            var lights = Lights(a, shape);
            if (lights.Count == 0)
                yield return CheckList.Make(a, "box.light", $"{shape.Room.Name} has no lighting outlet.", $"room:{shape.Room.Id}") with
                {
                    Fix = BoxFixes.Propose(shape),
                };
            else if (!lights.Any(l => switched.Contains(l.Id)))
                yield return CheckList.Make(
                    a,
                    "box.light",
                    $"The light of {shape.Room.Name} has no wall switch.",
                    $"box:{lights[0].Id}"
                ) with
                {
                    Fix = SwitchAt(a, shape),
                };
        }

        foreach (var flight in StairRules.Flights(a.House))
        {
            foreach (var found in Stairs(a, flight, switched))
                yield return found;
        }
    }

    private static List<Box> Lights(JobAnalysis a, RoomShape shape) =>
        [.. a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && b.Room == shape.Room.Id && !b.Outside)];

    private static IEnumerable<Finding> Stairs(JobAnalysis a, StairFlight flight, HashSet<string> switched)
    {
        var (upper, lights) = (flight.Upper, Lights(a, flight.Upper));
        if (lights.Count == 0)
        {
            yield return CheckList.Make(
                a,
                "box.light",
                $"{upper.Room.Name} has no lighting outlet for its flight.",
                $"room:{upper.Room.Id}"
            ) with
            {
                Fix = BoxFixes.Propose(upper),
            };
            yield break;
        }

        if (!lights.Any(l => switched.Contains(l.Id)))
            yield return CheckList.Make(a, "box.light", $"The light of {upper.Room.Name} has no wall switch.", $"box:{lights[0].Id}") with
            {
                Fix = SwitchAt(a, upper),
            };
        else if (StairRules.NeedsBoth(a.Edition, flight))
        {
            var levels = a
                .Job.Decisions.Boxes.Where(b => b.Gangs.Any(g => lights.Any(l => g.Lights.Contains(l.Id))))
                .Select(b => a.House[b.Room].Room.Storey)
                .Distinct()
                .ToList();
            if (levels.Count > 1)
                yield break;
            var dark = flight.Ends.FirstOrDefault(e => !levels.Contains(e.Room.Storey));
            yield return CheckList.Make(
                a,
                "box.stairs",
                $"The light of {upper.Room.Name} has a switch at one level only.",
                $"box:{lights[0].Id}"
            ) with
            {
                Fix = dark is null ? BoxFixes.Propose(upper) : SwitchAt(a, dark),
            };
        }
    }

    private static FindingFix? SwitchAt(JobAnalysis a, RoomShape shape) =>
        SwitchReach.Entries(a.House, shape).FirstOrDefault() is { } door ? Fix(shape, door) : null;

    internal static FindingFix Fix(RoomShape shape, RoomOpening door) =>
        new("Add a switch at the door", "add-switch", [("room", shape.Room.Id), ("opening", door.Opening.Id)]);
}

/// <summary>Nobody crosses a dark room to the switch.</summary>
internal sealed class SwitchesInReach : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (
            var shape in a.House.Rooms.Where(r =>
                a.Edition.Traits(r.Room.Kind) is { Light: true, Outdoors: false } && r.Room.Kind != RoomKind.Stairs
            )
        )
        {
            foreach (var dark in SwitchReach.Unserved(a.House, shape, a.Job.Decisions.Boxes))
            {
                var from = dark.Door.Beyond is { } beyond ? a.House[beyond].Room.Name : "outside";
                var far = dark.Nearest is { } n
                    ? $"the nearest switch of its light is {LengthText.Show(n.RoundTo(Length.Inches(1)))} away"
                    : "no switch of its light can be walked to";
                yield return CheckList.Make(
                    a,
                    "box.switchReach",
                    $"{shape.Room.Name}: who comes in from {from} crosses the dark; {far}, the job wants "
                        + $"{LengthText.Show(a.Job.Preferences.SwitchReach)}.",
                    $"opening:{dark.Door.Opening.Id}",
                    $"room:{shape.Room.Id}"
                ) with
                {
                    Fix = Serves(a, shape, dark.Door) ? LightsAndSwitches.Fix(shape, dark.Door) : null,
                };
            }
        }
    }

    // Where the wall beside the door is too short, the nearest place may be too far as well.
    private static bool Serves(JobAnalysis a, RoomShape shape, RoomOpening door)
    {
        var (wall, along) = SwitchRules.LatchSide(shape, door);
        return SwitchReach.Walk(shape, door, shape.On(wall, along)) <= a.Job.Preferences.SwitchReach.InInches;
    }
}

/// <summary>Lights outside doors, in closets, and where equipment is served; fan boxes.</summary>
internal sealed class LightPlaces : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var boxes = a.Job.Decisions.Boxes;
        var switched = boxes.SelectMany(b => b.Gangs).SelectMany(g => g.Lights).ToHashSet();
        var ground = OutdoorRules.Ground(a.House)?.Id;
        foreach (var shape in a.House.Rooms)
        {
            foreach (var door in LightRules.DoorsOut(shape).Where(_ => shape.Room.Storey == ground && !shape.Room.Kind.OpenAir()))
            {
                if (!boxes.Any(b => LightRules.Lights(b, shape, door) && switched.Contains(b.Id)))
                    yield return CheckList.Make(
                        a,
                        "box.outsideDoor",
                        $"{shape.Room.Name}: no switched light outside the door.",
                        $"opening:{door.Opening.Id}"
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
                        $"room:{shape.Room.Id}"
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
                    $"box:{light.Id}"
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
                $"box:{box.Id}"
            ) with
            {
                Fix = BoxFixes.Set("Use a fan-rated box", box.Id, "size", ""),
            };
    }

    // A recessed one needs less room; else it moves to the clearest place, if that is clear enough.
    private static FindingFix? ClosetFix(JobAnalysis a, Box light, double clear)
    {
        if (light.Wall is not null)
            return null;
        if (light.Fixture != LightStyle.Recessed && clear >= a.Edition.Number("closetClearRecessedIn"))
            return BoxFixes.Set("Make it a recessed one", light.Id, "fixture", nameof(LightStyle.Recessed));
        var closet = a.House[light.Room];
        var best = Places.Spread(closet, 16).MaxBy(p => ClosetLight.ClearInches(closet, p));
        return ClosetLight.ClearInches(closet, best) >= ClosetLight.Needed(a.Edition, light) + 0.5
            ? BoxFixes.MoveTo("Move it clear of the shelves", light.Id, best)
            : null;
    }
}

/// <summary>R314, R315: alarms in bedrooms, outside them and on each storey, and clear of what sets them off.</summary>
internal sealed class Alarms : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var alarms = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm).ToList();
        foreach (var room in a.House.Rooms.Where(r => r.Room.Kind == RoomKind.Bedroom && !alarms.Any(b => b.Room == r.Room.Id)))
            yield return CheckList.Make(a, "box.alarm", $"{room.Room.Name} has no smoke alarm.", $"room:{room.Room.Id}") with
            {
                Fix = BoxFixes.Propose(room),
            };
        foreach (var hall in AlarmRules.OutsideBedrooms(a.House))
        {
            var here = alarms.Where(b => b.Room == hall.Room.Id).ToList();
            if (here.Count == 0)
                yield return CheckList.Make(
                    a,
                    "box.alarm",
                    $"No smoke alarm outside the bedrooms, in {hall.Room.Name}.",
                    $"room:{hall.Room.Id}"
                ) with
                {
                    Fix = BoxFixes.Propose(hall),
                };
            else if (!here.Any(b => b.CarbonMonoxide) && AlarmRules.NeedsCarbonMonoxide(a.Job))
                yield return CheckList.Make(
                    a,
                    "box.alarm",
                    $"The alarm in {hall.Room.Name} does not sense carbon monoxide; the house has an attached garage or burns fuel.",
                    $"box:{here[0].Id}"
                ) with
                {
                    Fix = BoxFixes.Set("Make it sense carbon monoxide", here[0].Id, "co", "on"),
                };
        }

        foreach (
            var storey in a.Job.Storeys.Where(s =>
                a.House.Rooms.Any(r => r.Room.Storey == s.Id && a.Edition.Traits(r.Room.Kind).FloorArea)
                && !alarms.Any(b => a.House[b.Room].Room.Storey == s.Id)
            )
        )
            yield return CheckList.Make(a, "box.alarm", $"{storey.Name} has no smoke alarm.", $"storey:{storey.Id}") with
            {
                Fix = new("Propose the boxes of the house", "propose-boxes", []),
            };
        foreach (var alarm in alarms)
        {
            foreach (
                var near in AlarmRules.TooNear(a.House, a.Edition, a.Job.Decisions.Boxes, a.House[alarm.Room], Places.Of(a.House, alarm))
            )
                yield return CheckList.Make(
                    a,
                    "box.alarmPlace",
                    $"{a.House[alarm.Room].Room.Name}: the alarm {alarm.Id} stands "
                        + $"{LengthText.Show(Length.Inches(near.Inches).RoundTo(Length.Inches(1)))} from {near.What}; it wants "
                        + $"{LengthText.Show(Length.Inches(near.Needed))}.",
                    $"box:{alarm.Id}"
                ) with
                {
                    Fix = Clear(a, alarm),
                };
        }
    }

    private static FindingFix? Clear(JobAnalysis a, Box alarm)
    {
        var room = a.House[alarm.Room];
        var place = AlarmRules.BestPlace(a.House, a.Edition, a.Job.Decisions.Boxes, room);
        return AlarmRules.TooNear(a.House, a.Edition, a.Job.Decisions.Boxes, room, place).Any()
            ? null
            : BoxFixes.MoveTo("Move it clear", alarm.Id, place);
    }
}
