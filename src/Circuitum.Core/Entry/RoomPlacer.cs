using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>Puts a typed room where its line says.</summary>
public static class RoomPlacer
{
    // Less than this is rounding of skew walls.
    private const double LeastOverlapSqFt = 0.1;

    /// <summary>The north-west corner of a room that stands beside another, in line with it at the north or west.</summary>
    /// <param name="frame">The frame, which knows how thick walls are.</param>
    /// <param name="beside">The other room.</param>
    /// <param name="on">On which side of it.</param>
    /// <param name="kind">The room's kind: between the house and a garage or the open air stands an outside wall.</param>
    /// <param name="wide">West to east.</param>
    /// <param name="deep">North to south.</param>
    public static Point Beside(Frame frame, Room beside, Side on, RoomKind kind, Length wide, Length deep)
    {
        var s = new RoomShape(beside);
        var gap = Outer(kind) || Outer(beside.Kind) ? frame.OutsideWall : frame.Partition;
        return on switch
        {
            Side.East => new(s.MaxX + gap, s.MinY),
            Side.West => new(s.MinX - gap - wide, s.MinY),
            Side.South => new(s.MinX, s.MaxY + gap),
            _ => new(s.MinX, s.MinY - gap - deep),
        };

        static bool Outer(RoomKind kind) => kind is RoomKind.Garage or RoomKind.AccessoryBuilding || kind.OpenAir();
    }

    internal static void Place(ListUnderWay list, RoomLine line)
    {
        var (wide, deep) = line.Size!.Value;
        if (wide < Length.Feet(1) || deep < Length.Feet(1))
        {
            list.Wrong(line, "size", $"a room is at least a foot wide and deep. Type one such as {RoomLineReader.Example}.");
            return;
        }

        if (Corner(list, line, wide, deep) is not { } at)
            return;
        var storey = list.Job.StoreyById(list.Storey)!;
        var room = new Room
        {
            Id = Names.Free(line.Name, list.Job.Rooms.Select(r => r.Id)),
            Name = line.Name,
            Kind = line.Kind,
            Storey = list.Storey,
            CeilingHeight = storey.Ceiling ?? Length.Feet(8),
            Outline = [at, new(at.X + wide, at.Y), new(at.X + wide, at.Y + deep), new(at.X, at.Y + deep)],
        };
        var shape = new RoomShape(room);
        var under = list
            .Job.Rooms.Where(r => r.Storey == list.Storey)
            .FirstOrDefault(r => HouseShape.OverlapSqFt(shape, new RoomShape(r)) > LeastOverlapSqFt);
        if (under is not null)
            list.Wrong(
                line,
                "place",
                $"it would lie over {JobRules.Short(under.Name)}. Say another side, or move it along, such as "
                    + $"e of {JobRules.Short(under.Name)} 4 s."
            );
        else if (list.Job.Rooms.Length >= JobRules.MostRooms)
            list.Wrong(line, "name", $"a job has at most {JobRules.MostRooms} rooms.");
        else
            list.Add(line, room);
    }

    private static Point? Corner(ListUnderWay list, RoomLine line, Length wide, Length deep)
    {
        var place = line.Place;
        if (place.Over)
            return Over(list, line);
        var beside = place.Of.Length > 0 ? list.Find(line, "place", place.Of) : list.Last;
        if (beside is null)
            return place.Of.Length > 0 ? null : new Point(Length.Zero, Length.Zero);
        var at = Beside(list.Job.Frame, beside, place.On, line.Kind, wide, deep);
        var other = new RoomShape(beside);
        var acrossThePage = place.On is Side.North or Side.South;
        if (place.Flush == Side.East && acrossThePage)
            at = at with { X = other.MaxX - wide };
        if (place.Flush == Side.South && !acrossThePage)
            at = at with { Y = other.MaxY - deep };
        return place.Shift switch
        {
            (var by, Side.North) => at with { Y = at.Y - by },
            (var by, Side.South) => at with { Y = at.Y + by },
            (var by, Side.West) => at with { X = at.X - by },
            (var by, Side.East) => at with { X = at.X + by },
            _ => at,
        };
    }

    private static Point? Over(ListUnderWay list, RoomLine line)
    {
        var floor = list.Job.StoreyById(list.Storey)!.Floor;
        if (list.Job.Storeys.Where(s => s.Floor < floor).MaxBy(s => s.Floor) is not { } below)
        {
            list.Wrong(line, "place", "there is no storey below this one.");
            return null;
        }

        return list.Find(line, "place", line.Place.Of, below.Id) is { } under
            ? new(under.Outline.Min(p => p.X), under.Outline.Min(p => p.Y))
            : null;
    }
}
