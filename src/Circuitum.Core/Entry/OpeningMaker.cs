using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>Puts typed doors and windows where people put them.</summary>
internal static class OpeningMaker
{
    private const double WideCased = 48;
    private const double NarrowDoor = 24;
    private const double TwoCarsWide = 16 * 12;
    private const double WallForTwoCars = 20 * 12;
    private const int Most = 12;

    /// <summary>Puts the openings of a part of a line into the job, or tells what is wrong with it.</summary>
    internal static void Make(ListUnderWay list, RoomLine line, OpeningPart part)
    {
        if (list.RoomOf(line) is not { } room)
            return;
        if (part.Count is < 1 or > Most)
        {
            list.Wrong(line, part.Text, $"1 to {Most} go into one wall. Type 2 windows n.");
            return;
        }

        if (part.To.Length > 0)
        {
            if (list.Find(line, part.Text, part.To) is { } other)
                Put(list, line, part, Swung(list.Job, part, room, other), $"{room.Name} and {other.Name} have no free wall between them");
        }
        else if (part.On is { } side)
        {
            var house = HouseShape.Of(list.Job);
            var walls = Stretch.On(house, house[room.Id], side);
            var outdoors = walls.FindAll(s => s.Beyond is null);

            // A sliver beside a neighbour is no place for a door that leads into the neighbour.
            var wanted =
                outdoors.Count > 0 && outdoors[0].Size >= Least(part) ? outdoors
                : part.Kind is OpeningKind.Window or OpeningKind.GarageDoor ? outdoors
                : walls;
            if (wanted is [{ Beyond: { } behind }, ..])
                wanted = Swung(list.Job, part, room, behind.Room);
            Put(
                list,
                line,
                part,
                wanted,
                $"{room.Name} has no free {(part.Kind == OpeningKind.Window ? "outside " : "")}wall on that side"
            );
        }
        else
            list.Wrong(line, part.Text, $"say where: {part.Text} s for a side, or {part.Text} to Hall for a room.");
    }

    // Seen from the room into which it swings.
    private static List<Stretch> Swung(Job job, OpeningPart part, Room room, Room other)
    {
        var house = HouseShape.Of(job);
        return IsHungBeyond(part, room, other)
            ? Stretch.Between(house, house[other.Id], house[room.Id])
            : Stretch.Between(house, house[room.Id], house[other.Id]);
    }

    // A typed distance is along the wall of the room in whose line it stands.
    private static bool IsHungBeyond(OpeningPart part, Room room, Room other) =>
        part is { Kind: OpeningKind.Hinged, At: null } && Doors.SwingsInto(room, other);

    private static void Put(ListUnderWay list, RoomLine line, OpeningPart part, List<Stretch> walls, string none)
    {
        if (walls is not [var stretch, ..])
        {
            list.Wrong(line, part.Text, $"{none}. Put the rooms beside each other, or say another.");
            return;
        }

        var width = part.Width ?? Length.Min(Usual(part, stretch), stretch.Size / part.Count);
        if (width < (part.Width is null ? Least(part) : Length.Inches(1)) || width * part.Count > stretch.Size)
        {
            list.Wrong(
                line,
                part.Text,
                $"the longest free wall there is {LengthText.Show(stretch.Size, list.Job.Units)}. Type a narrower one, its width after its "
                    + "name, such as window 2-0 n, or another side."
            );
            return;
        }

        for (var i = 0; i < part.Count; i++)
        {
            var (from, hinge) = Place(part, stretch, width, i);
            var opening = new Opening
            {
                Id = Names.Free($"{part.Kind}", list.Job.Openings.Select(o => o.Id)),
                Kind = part.Kind,
                Room = stretch.Room.Room.Id,
                Wall = stretch.Wall,
                From = from,
                Width = width,
                To = stretch.Beyond?.Room.Id ?? Opening.Outside,
                Hinge = hinge,
                SwingsIn = !Doors.SwingsInto(stretch.Room.Room, stretch.Beyond?.Room),
            };
            if (!list.Try(line, part.Text, list.Job with { Openings = list.Job.Openings.Add(opening) }))
                return;
        }
    }

    private static (Length From, End Hinge) Place(OpeningPart part, Stretch stretch, Length width, int index)
    {
        var wall = stretch.Room.Walls[stretch.Wall];
        if (part.At is { } at)
        {
            return (Stretch.Told(wall, at + (width * index), width), End.Start);
        }

        if (part is { Kind: OpeningKind.Hinged, Count: 1 } && stretch.Beyond is not null)
            return Doors.Hang(stretch, width);
        var between = (stretch.Size - (width * part.Count)) / (part.Count + 1);
        return ((stretch.From + between + ((width + between) * index)).RoundTo(Length.Inches(0.5)), End.Start);
    }

    private static Length Usual(OpeningPart part, Stretch stretch) =>
        Length.Inches(
            (part.Kind, stretch.Room.Room.Kind) switch
            {
                (OpeningKind.Window, RoomKind.Bathroom or RoomKind.Closet or RoomKind.Laundry) => 24,
                (OpeningKind.Window, _) => 36,
                (OpeningKind.GarageDoor, _) => part.Count == 1 && stretch.Size.InInches >= WallForTwoCars ? TwoCarsWide : 108,
                (OpeningKind.Sliding, _) => 72,
                (OpeningKind.Cased, _) => WideCased,
                (OpeningKind.Pocket, _) => 30,
                _ => stretch.Beyond is null || stretch.Beyond.Room.Kind == RoomKind.Garage ? 36 : 32,
            }
        );

    private static Length Least(OpeningPart part) =>
        Length.Inches(
            part.Kind switch
            {
                OpeningKind.GarageDoor => 96,
                OpeningKind.Window => 12,
                OpeningKind.Sliding => 48,
                _ => NarrowDoor,
            }
        );
}
