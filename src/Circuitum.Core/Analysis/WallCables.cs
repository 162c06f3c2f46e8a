using System.Collections.Immutable;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>The cables in one wall, with the holes that they need.</summary>
/// <param name="Cables">The cables, by circuit.</param>
/// <param name="Holes">The holes, from the first corner on.</param>
public sealed record WallCables(ImmutableArray<WallCable> Cables, ImmutableArray<WallHole> Holes)
{
    /// <summary>What is in a wall.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="room">The room from which it is seen.</param>
    /// <param name="wall">Its wall.</param>
    public static WallCables Of(JobAnalysis a, RoomShape room, int wall)
    {
        var body = WallBody.Of(a.House, room, wall);
        var floor = a.Job.StoreyById(room.Room.Storey)!.Floor;
        var cables = ImmutableArray.CreateBuilder<WallCable>();
        foreach (var c in a.Circuits)
        {
            foreach (var segment in c.Run.Cables)
            {
                foreach (var path in Paths(room, wall, body, floor, a.RouteOf(segment)))
                    cables.Add(new(c, segment, path, Staples(a.Job.Preferences, path, room.Room.CeilingHeight)));
            }
        }

        return new(cables.ToImmutable(), Bored(a.Job.Preferences, room, body, cables));
    }

    /// <summary>The walls through whose studs a cable goes.</summary>
    public static ImmutableArray<(RoomShape Room, int Wall)> Drilled(JobAnalysis a, CableRoute route) =>
        [
            .. route
                .Pieces.Where(p => p.Kind == WayKind.Studs && p.Length > Length.Inches(8))
                .Select(p => WallAt(a, p))
                .DistinctBy(w => (w.Room.Room.Id, w.Wall)),
        ];

    /// <summary>The room's wall along which a piece runs, or the nearest one.</summary>
    internal static (RoomShape Room, int Wall) WallAt(JobAnalysis a, WayPiece piece)
    {
        var middle = new Point((piece.From.X + piece.To.X) / 2, (piece.From.Y + piece.To.Y) / 2);
        var storey = a.Job.Storeys.OrderByDescending(s => s.Floor).FirstOrDefault(s => s.Floor <= piece.FromZ) ?? a.Job.Storeys[0];
        var (shape, near) = a
            .House.Rooms.Where(r => r.Room.Storey == storey.Id)
            .Select(r => (Shape: r, Near: r.Nearest(middle)))
            .OrderBy(x => x.Shape.Room.Kind.OpenAir())
            .ThenBy(x => x.Near.Inches)
            .First();
        return (shape, near.Wall);
    }

    // The parts of a way that are in the wall, each from where it comes in to where it goes out.
    private static IEnumerable<ImmutableArray<WallPlace>> Paths(RoomShape room, int wall, WallBody body, Length floor, CableRoute route)
    {
        var line = room.Walls[wall];
        var behind = -(body.Thickness.InInches + 1);
        bool On(Point p)
        {
            var across = ((p.X - line.A.X).InInches * room.InX(line)) + ((p.Y - line.A.Y).InInches * room.InY(line));
            var along = line.Along(p);
            return across >= behind && across <= 1.5 && along >= Length.Inches(-1) && along <= line.Length + Length.Inches(1);
        }

        var path = ImmutableArray.CreateBuilder<WallPlace>();
        foreach (var piece in route.Pieces)
        {
            var inside =
                piece.Kind is WayKind.Wall or WayKind.Studs
                && On(piece.From)
                && On(piece.To)
                && Length.Max(piece.FromZ, piece.ToZ) > floor
                && Length.Min(piece.FromZ, piece.ToZ) < floor + room.Room.CeilingHeight;
            if (!inside)
            {
                if (path.Count > 0)
                    yield return path.DrainToImmutable();
                continue;
            }

            if (path.Count == 0)
                path.Add(new(line.Along(piece.From), piece.FromZ - floor));
            path.Add(new(line.Along(piece.To), piece.ToZ - floor));
        }

        if (path.Count > 0)
            yield return path.DrainToImmutable();
    }

    // Beside each box, then at most so far apart; what runs level lies in its holes.
    private static ImmutableArray<WallPlace> Staples(Preferences p, ImmutableArray<WallPlace> path, Length ceiling)
    {
        var places = ImmutableArray.CreateBuilder<WallPlace>();
        for (var i = 1; i < path.Length; i++)
        {
            var (from, to) = (path[i - 1], path[i]);
            if ((from.Height - to.Height).Abs() < Length.Inches(1))
                continue;
            var (begins, ends) = (i == 1 && Within(from.Height, ceiling), i == path.Length - 1 && Within(to.Height, ceiling));
            var (start, finish) = (begins ? from : to, begins ? to : from);
            var up = finish.Height > start.Height;
            var last = Length.Max(Length.Zero, Length.Min(ceiling, finish.Height));
            for (var h = begins || ends ? p.StapleFromBox : p.StapleEvery; h < (last - start.Height).Abs(); h += p.StapleEvery)
                places.Add(new(start.Along, up ? start.Height + h : start.Height - h));
        }

        return places.ToImmutable();
    }

    private static bool Within(Length height, Length ceiling) => height >= Length.Zero && height <= ceiling;

    private static ImmutableArray<WallHole> Bored(Preferences p, RoomShape room, WallBody body, IEnumerable<WallCable> cables)
    {
        var through = new SortedDictionary<(long Along, long Height), List<double>>();
        void Through(Length along, Length height, WallCable cable)
        {
            var key = (along.RoundTo(Length.Inches(2)).Units, height.RoundTo(Length.Inches(2)).Units);
            if (!through.TryGetValue(key, out var there))
                through[key] = there = [];
            there.Add(cable.Circuit.CableOf(cable.CableSegment).InchesWide);
        }

        var ceiling = room.Room.CeilingHeight;
        foreach (var cable in cables)
        {
            foreach (var (from, to) in cable.Path.Zip(cable.Path.Skip(1)))
            {
                var (a, b) = from.Along < to.Along ? (from.Along, to.Along) : (to.Along, from.Along);
                for (
                    var stud = new Length(((a.Units / body.StudSpacing.Units) + 1) * body.StudSpacing.Units);
                    stud < b;
                    stud += body.StudSpacing
                )
                    Through(stud, from.Height, cable);
                if (Math.Max(from.Height.Units, to.Height.Units) > ceiling.Units)
                    Through(from.Along, ceiling, cable);
                if (Math.Min(from.Height.Units, to.Height.Units) < 0)
                    Through(from.Along, Length.Zero, cable);
            }
        }

        // Plates take what comes; studs only so much.
        var deep = Bores.DepthIn(body);
        var plates = new[] { Length.Zero, ceiling.RoundTo(Length.Inches(2)) };
        return
        [
            .. through.SelectMany(t =>
                Bores
                    .Holes(
                        t.Value.OrderDescending(),
                        x => x,
                        p.CablesPerHole,
                        plates.Contains(new(t.Key.Height)) ? double.PositiveInfinity : Bores.LargestIn(body)
                    )
                    .Select(hole =>
                    {
                        var bit = Bores.BitFor(hole);
                        return new WallHole(
                            new(new(t.Key.Along), new(t.Key.Height)),
                            hole.Length,
                            bit,
                            DrillList.NearFace(bit / 16.0, deep)
                        );
                    })
            ),
        ];
    }
}
