using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A box has a body: it wants room in its wall.</summary>
internal sealed class BoxBodyRule : CheckedRule
{
    internal override string Id => "box.body";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var near = a.Job.Decisions.Boxes.Select(b => b.Room).Distinct().ToDictionary(room => room, room => Near(a, room));
        foreach (var box in a.Job.Decisions.Boxes)
        {
            if (BoxBody.WhyNot(a.House, box, near[box.Room]) is not { } why)
                continue;
            var there = BoxBody.Settle(a.House, box, near[box.Room], 36);
            yield return Breach(a, $"{a.House[box.Room].Room.Name}: {box.Id} {why}.", Subject.Box(box.Id)) with
            {
                Fix =
                    there.Along == box.Along
                        ? null
                        : new("Move it to where it can stand", new MoveBox(box.Id, box.Wall, there.Along, null)),
            };
        }
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
}
