using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>210.70: lights and their switches.</summary>
internal sealed class LightsAndSwitches : ICheck
{
    public ImmutableArray<string> Rules => ["box.light", "box.stairs"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var switched = a.Job.Decisions.Boxes.SelectMany(b => b.Gangs).SelectMany(g => g.Lights).ToHashSet();
        foreach (var shape in a.House.Rooms.Where(r => a.Edition.Traits(r.Room.Kind).Light))
        {
            if (shape.Room.Kind == RoomKind.Stairs || (a.Edition.Traits(shape.Room.Kind).Outdoors && !shape.Openings.Any(o => o.IsDoorway)))
                continue;
            var lights = Lights(a, shape);
            if (lights.Count == 0)
                yield return CheckList.Make(a, "box.light", $"{shape.Room.Name} has no lighting outlet.", Subject.Room(shape.Room.Id)) with
                {
                    Fix = BoxFixes.Propose(shape),
                };
            else if (!lights.Any(l => switched.Contains(l.Id)))
                yield return CheckList.Make(
                    a,
                    "box.light",
                    $"The light of {shape.Room.Name} has no wall switch.",
                    Subject.Box(lights[0].Id)
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
                Subject.Room(upper.Room.Id)
            ) with
            {
                Fix = BoxFixes.Propose(upper),
            };
            yield break;
        }

        if (!lights.Any(l => switched.Contains(l.Id)))
            yield return CheckList.Make(
                a,
                "box.light",
                $"The light of {upper.Room.Name} has no wall switch.",
                Subject.Box(lights[0].Id)
            ) with
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
                Subject.Box(lights[0].Id)
            ) with
            {
                Fix = dark is null ? BoxFixes.Propose(upper) : SwitchAt(a, dark),
            };
        }
    }

    private static FindingFix? SwitchAt(JobAnalysis a, RoomShape shape) =>
        SwitchReach.Entries(a.House, shape).FirstOrDefault() is { } door ? Fix(shape, door) : null;

    internal static FindingFix Fix(RoomShape shape, RoomOpening door) =>
        new("Add a switch at the door", new AddSwitch(shape.Room.Id, door.Opening.Id));
}
