using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Commands;
using Circuitum.Core.Drafting;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Length = Circuitum.Core.Measure.Length;

namespace Circuitum.Web.Work;

/// <summary>The edits of the plan.</summary>
public sealed partial class EditForm
{
    private JobCommand? MakePlan() =>
        Text("do") switch
        {
            "draw-room" => DrawRoom(),
            "move-wall" => new MoveWall(
                Text("room"),
                Number("wall", "Wall") ?? -1,
                Text("by").Length > 0 ? Signed("by", "Move by") : null,
                Text("x").Length > 0 ? Place() : null,
                Text("alone") == "on"
            ),
            "wall-length" => new SetWallLength(
                Text("room"),
                Number("wall", "Wall") ?? -1,
                Length("length", "Length"),
                Text("end") == "start"
            ),
            "dimension" => new SetDimension(Text("dim"), Length("length", "Length")),
            "move-room" => new MoveRoom(
                Text("room"),
                Text("dx").Length > 0 ? Inches("dx") : Signed("east", "East"),
                Text("dy").Length > 0 ? Inches("dy") : Signed("south", "South")
            ),
            "split-room" => new SplitRoom(Text("room"), Number("wall", "Wall") ?? -1, Length("along", "From the corner"), Text("name")),
            "join-rooms" => new JoinRooms(Text("room"), Text("with")),
            "turn-house" => new TurnHouse(Word<Turning>("how", "Turn")),
            "copy-storey" => new CopyStorey(Text("storey"), Text("name"), Signed("floor", "Floor height")),
            "edit-storey" => new EditStorey(Text("storey"), Text("name"), Signed("floor", "Floor height"), Length("ceiling", "Ceiling")),
            "remove-storey" => new RemoveStorey(Text("storey")),
            "edit-wall" => EditWall(),
            "place" => new PlaceHere(Text("what"), Text("storey"), Place()),
            "move-thing" => new MoveThing(Text("thing"), Place()),
            "edit-opening" => new EditOpening(
                Text("opening"),
                Word<OpeningKind>("kind", "Kind"),
                Length("from", "From the corner"),
                Length("width", "Width"),
                Word<End>("hinge", "Hinge"),
                Text("swing") != "out",
                OptionalLength("sill", "Sill")
            ),
            "edit-thing" => new EditThing(
                Text("thing"),
                Text("from").Length > 0 ? Length("from", "From the corner") : default,
                Length("width", "Width"),
                Length("depth", "Depth")
            ),
            "edit-wish" => new EditWish(Text("wish"), Text("note")),
            "edit-under" => EditUnder(),
            "room-ceiling" => RoomCeiling(),
            _ => null,
        };

    private DrawRoom DrawRoom()
    {
        var corners = ImmutableArray.CreateBuilder<Point>();
        foreach (var pair in Text("corners").Split(';', StringSplitOptions.RemoveEmptyEntries).Take(65))
        {
            var xy = pair.Split(',');
            if (xy.Length == 2 && Finite(xy[0]) is { } x && Finite(xy[1]) is { } y)
                corners.Add(new(x, y));
            else
                problem = "Corners: a drawn corner is two numbers.";
        }

        if (Text("size") is { Length: > 0 } typed && corners.Count == 1 && Size(typed) is { } size)
            corners.Add(new(corners[0].X + size.Width, corners[0].Y + size.Depth));
        return new(
            Text("storey"),
            corners.ToImmutable(),
            Text("name"),
            Text("kind").Length > 0 ? Word<RoomKind>("kind", "Kind") : RoomKind.Living
        );
    }

    private (Length Width, Length Depth)? Size(string text)
    {
        var parts = text.ToLowerInvariant().Split('x', '×');
        if (parts.Length == 2)
            return (Parse(parts[0], "Size"), Parse(parts[1], "Size"));
        problem = "Size: type two lengths with an x between them, such as 12'6 x 11.";
        return null;
    }

    private EditWall EditWall() =>
        new(
            new WallFact
            {
                Room = Text("room"),
                Wall = Number("wall", "Wall") ?? -1,
                Build = Word<WallBuild>("build", "Built of"),
                Bearing = Text("bearing") == "on",
                StudSpacing = OptionalLength("studs", "Stud spacing"),
                Thickness = OptionalLength("thickness", "Thickness"),
                NoCable = Text("nocable") == "on",
                DataCable = Text("data") == "on",
                ChaseHeight = OptionalLength("chaseHeight", "Chase height"),
                ChaseStations = OptionalLength("chaseStations", "Chase stations"),
            }
        );

    private EditJob RoomCeiling()
    {
        var id = Text("room");
        CeilingShape? shape = Text("shape") is { Length: > 0 } ? Word<CeilingShape>("shape", "Ceiling") : null;
        JoistRun? joists = Text("joists") is { Length: > 0 } ? Word<JoistRun>("joists", "Joists") : null;
        AccessKind? access = Text("access") is { Length: > 0 } ? Word<AccessKind>("access", "Way in") : null;
        Under? under = Text("under") is { Length: > 0 } ? Word<Under>("under", "Under its floor") : null;
        bool? adaptable = Text("adaptable") switch
        {
            "yes" => true,
            "no" => false,
            _ => null,
        };
        var (depth, shelf, risers) = (
            OptionalLength("joistDepth", "Joist depth"),
            OptionalLength("shelf", "Shelf depth"),
            Number("risers", "Risers")
        );
        Room Say(Room r) =>
            r with
            {
                Ceiling = shape,
                Joists = joists,
                JoistDepth = depth,
                ShelfDepth = shelf,
                Risers = risers,
                Access = access,
                Under = under,
                Adaptable = adaptable,
            };
        return new(job => job with { Rooms = [.. job.Rooms.Select(r => r.Id == id ? Say(r) : r)] }, "edit ceiling");
    }

    private EditUnderlay EditUnder()
    {
        var storey = Text("storey");
        switch (Text("what"))
        {
            case "remove":
                return new(storey, _ => null, "remove picture");
            case "strength":
                var strength = Number("strength", "Strength") ?? 50;
                return new(storey, u => u with { Strength = strength }, "dim picture");
            case "move":
                var by = new Point(Inches("dx"), Inches("dy"));
                return new(storey, u => u with { At = new(u.At.X + by.X, u.At.Y + by.Y) }, "move picture");
            default:
                // Two points of the picture and the length between them: the first point stays where it is.
                var (ax, ay, bx, by2) = (
                    Decimal("ax", "First point") ?? 0,
                    Decimal("ay", "First point") ?? 0,
                    Decimal("bx", "Second point") ?? 0,
                    Decimal("by", "Second point") ?? 0
                );
                var length = Length("length", "Length");
                var drawn = Math.Sqrt(((bx - ax) * (bx - ax)) + ((by2 - ay) * (by2 - ay)));
                if (drawn < 1)
                    problem = "Scale: the two points are too close together.";
                var factor = drawn < 1 ? 1 : length.InInches / drawn;
                if (problem.Length == 0 && factor is < 0.001 or > 1000)
                    problem = "Scale: that length and those two points do not go together.";
                return new(
                    storey,
                    u =>
                        u with
                        {
                            At = new(
                                Core.Measure.Length.Inches(ax + ((u.At.X.InInches - ax) * factor)),
                                Core.Measure.Length.Inches(ay + ((u.At.Y.InInches - ay) * factor))
                            ),
                            Width = Core.Measure.Length.Inches(u.Width.InInches * factor),
                            Height = Core.Measure.Length.Inches(u.Height.InInches * factor),
                        },
                    "scale picture"
                );
        }
    }

    private Point Place() => new(Inches("x"), Inches("y"));

    private Length? OptionalLength(string name, string label) => Text(name).Length > 0 ? Length(name, label) : null;

    // A direction may be typed with a minus before it.
    private Length Signed(string name, string label) =>
        Text(name).TrimStart() is ['-', .. var rest] ? -Parse(rest, label) : Length(name, label);

    private static Length? Finite(string text) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value)
            ? Core.Measure.Length.Inches(Math.Clamp(value, -12_000, 12_000))
            : null;
}
