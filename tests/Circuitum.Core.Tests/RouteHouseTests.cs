using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>Ways in many made-up houses with windows, beams, ducts and walls of every build, held against rules told anew.</summary>
public class RouteHouseTests
{
    private const int Houses = 200;

    private const double Z = 0.5;

    // A made-up house with what can be in a cable's way.
    private static Job Make(int seed)
    {
        var job = GeneratedHouse.Make(seed);
        var random = new Random(seed + 90_000);
        var (openings, walls, fixtures) = (job.Openings.ToList(), new List<WallFact>(), job.Fixtures.ToList());
        foreach (var room in job.Rooms)
        {
            var (wide, deep) = ((room.Outline[1].X - room.Outline[0].X).InFeet, (room.Outline[2].Y - room.Outline[1].Y).InFeet);
            if (random.Next(3) == 0 && room.Outline[0].Y == Length.Zero && wide > 9 && openings.All(o => o.Room != room.Id || o.Wall != 0))
                openings.Add(
                    new Opening
                    {
                        Id = $"w{openings.Count}",
                        Room = room.Id,
                        Wall = 0,
                        From = Length.Feet(4),
                        Width = Length.Feet(4),
                        Kind = OpeningKind.Window,
                        To = Opening.Outside,
                        Sill = Length.Inches(random.Next(6, 50)),
                    }
                );
            if (random.Next(4) == 0)
                walls.Add(
                    new WallFact
                    {
                        Room = room.Id,
                        Wall = random.Next(4),
                        Build = (WallBuild)random.Next(5),
                        NoCable = random.Next(4) == 0,
                    }
                );
            if (random.Next(6) == 0)
                fixtures.Add(
                    new Fixture
                    {
                        Id = $"b{fixtures.Count}",
                        Kind = random.Next(2) == 0 ? FixtureKind.Beam : FixtureKind.Duct,
                        Room = room.Id,
                        Spot = new Spot
                        {
                            At = new Point(room.Outline[0].X + Length.Feet(wide / 2), room.Outline[0].Y),
                            Width = Length.Inches(8),
                            Depth = Length.Feet(deep * 0.7),
                        },
                    }
                );
        }

        return Planner.PlanAll(
            job with
            {
                Openings = [.. openings],
                Walls = [.. walls],
                Fixtures = [.. fixtures],
                Frame = job.Frame with { Under = (Under)random.Next(3) },
            }
        );
    }

    [Fact]
    public void Ways_are_joined_up_legal_and_as_short_as_a_walk_over_every_cell()
    {
        var (routes, walked, studs) = (0, 0, 0);
        Parallel.For(0, Houses, seed =>
        {
            var job = Make(seed);
            var house = HouseShape.Of(job);
            var runs = new Runs(house);
            var boxes = job.Decisions.Boxes.ToDictionary(b => b.Id);
            var check = new Inspector(house);
            foreach (var hop in Analyzer.Analyze(job).Circuits.SelectMany(c => c.Run.Cables).Where(h => h.Via is null))
            {
                var (route, told) = (runs.Route(hop), $"seed {seed}, {hop.From ?? "panel"} to {hop.To}");
                Interlocked.Increment(ref routes);
                route.Length.InInches.ShouldBe(hop.Way.InInches, 2, told);
                Inspector.Joined(route, told);
                check.Fields(route, told);
                Interlocked.Add(ref studs, check.Studs(route, told));

                // No shorter than straight through the frame along its three axes.
                var to = Place(boxes[hop.To]);
                var (at, z) = hop.From is { } from
                    ? Place(boxes[from])
                    : (
                        house[job.Panels[0].Room].On(job.Panels[0].Wall, job.Panels[0].Along),
                        house.Job.StoreyById(house[job.Panels[0].Room].Room.Storey)!.Floor + job.Panels[0].Top
                    );
                hop.Way.InInches.ShouldBeGreaterThanOrEqualTo((at.RectilinearTo(to.At) + (z - to.Height).Abs()).InInches - 8, told);
            }

            Interlocked.Add(ref walked, check.AsShortAsWalked(runs, seed));

            (Point At, Length Height) Place(Box b) =>
                (Places.Of(house, b), house.Job.StoreyById(house[b.Room].Room.Storey)!.Floor + b.Height);
        });
        routes.ShouldBeGreaterThan(Houses * 30);
        walked.ShouldBeGreaterThan(Houses * 5);
        studs.ShouldBeGreaterThan(Houses);
    }

    /// <summary>Looks at the ways of one house with rules of its own.</summary>
    private sealed class Inspector(HouseShape house)
    {
        private readonly List<RoomShape> roofed = [.. house.Rooms.Where(r => r.Room.Kind is not (RoomKind.Deck or RoomKind.Outdoors))];

        internal static void Joined(CableRoute route, string told)
        {
            for (var i = 1; i < route.Pieces.Length; i++)
            {
                route.Pieces[i].From.InchesTo(route.Pieces[i - 1].To).ShouldBeLessThan(Z, $"{told}: a gap in the way");
                (route.Pieces[i].FromZ - route.Pieces[i - 1].ToZ).Abs().InInches.ShouldBeLessThan(Z, $"{told}: a step in the way");
            }
        }

        // Over or under rooms and the walls between them, and not through a beam, a duct or a hearth.
        internal void Fields(CableRoute route, string told)
        {
            foreach (var p in route.Pieces.Where(p => p.Kind == WayKind.Field))
            {
                for (var share = 0.0; share <= 1; share += 0.125)
                {
                    var (x, y) = (
                        p.From.X.InInches + ((p.To.X - p.From.X).InInches * share),
                        p.From.Y.InInches + ((p.To.Y - p.From.Y).InInches * share)
                    );
                    roofed
                        .Any(r => x > r.MinX.InInches - 9 && x < r.MaxX.InInches + 9 && y > r.MinY.InInches - 9 && y < r.MaxY.InInches + 9)
                        .ShouldBeTrue($"{told}: runs in the open air");
                    Blocks(p.FromZ)
                        .Any(b => x > b.X0 + 1 && x < b.X1 - 1 && y > b.Y0 + 1 && y < b.Y1 - 1)
                        .ShouldBeFalse($"{told}: through a beam or a duct");
                }
            }
        }

        // What stands in the field over a storey: the field lies within a foot over its ceilings.
        private IEnumerable<(double X0, double Y0, double X1, double Y1)> Blocks(Length z)
        {
            foreach (var f in house.Job.Fixtures.Where(f => f.Kind is FixtureKind.Beam or FixtureKind.Duct or FixtureKind.Fireplace))
            {
                var storey = house.Job.StoreyById(house[f.Room].Room.Storey)!;
                var ceiling = storey.Floor + roofed.Where(r => r.Room.Storey == storey.Id).Max(r => r.Room.CeilingHeight);
                if (z < ceiling || z > ceiling + Length.Feet(1))
                    continue;
                var (west, north, east, south) = Places.Box(house[f.Room], f.Spot);
                yield return (west, north, east, south);
            }
        }

        /// <summary>Level pieces inside walls: along a wall that may be drilled, and past no opening at that height.</summary>
        internal int Studs(CableRoute route, string told)
        {
            var count = 0;
            foreach (var p in route.Pieces.Where(p => p.Kind == WayKind.Studs && p.Length > Length.Inches(30)))
            {
                count++;
                var storey = house.Job.Storeys.OrderByDescending(s => s.Floor).First(s => s.Floor <= p.FromZ);
                var middle = new Point((p.From.X + p.To.X) / 2, (p.From.Y + p.To.Y) / 2);
                var (room, near) = house
                    .Rooms.Where(r => r.Room.Storey == storey.Id && !r.Room.Kind.OpenAir())
                    .Select(r => (Room: r, Near: r.Nearest(middle)))
                    .MinBy(x => x.Near.Inches);
                var body = WallBody.Of(house, room, near.Wall);

                // From a box to the next upright chase of a panel wall, or aside to where no window is over it, no stud is drilled for
                // long.
                var aside = (p == route.Pieces[0] || p == route.Pieces[^1]) && p.Length < Length.Feet(5);
                if (!aside)
                    body.Build.ShouldNotBe(WallBuild.Masonry, $"{told}: drills masonry");
                if (!aside)
                    body.Build.ShouldNotBe(WallBuild.InsulatedPanel, $"{told}: drills a panel wall");
                if (!aside)
                    (body.Fact?.NoCable == true).ShouldBeFalse($"{told}: through a closed wall");
                var line = room.Walls[near.Wall];
                var (from, to) = (Length.Min(line.Along(p.From), line.Along(p.To)), Length.Max(line.Along(p.From), line.Along(p.To)));
                foreach (var o in room.Openings.Where(o => o.Wall == near.Wall && o.From < to && o.To > from))
                {
                    o.Opening.Kind.ShouldBe(OpeningKind.Window, $"{told}: through a doorway");
                    (p.FromZ - storey.Floor).ShouldBeLessThan(o.Opening.Sill!.Value, $"{told}: through a window");
                }
            }

            return count;
        }

        /// <summary>Holds the ways across one field from the panel against a walk over all its cells.</summary>
        internal int AsShortAsWalked(Runs runs, int seed)
        {
            var job = house.Job;
            var panel = job.Panels[0];
            var shape = house[panel.Room];
            var storey = job.StoreyById(shape.Room.Storey)!;
            if (
                job.Fixtures.Any(f => f.Kind is FixtureKind.Beam or FixtureKind.Duct or FixtureKind.Fireplace)
                || job.Rooms.Any(r => r.Kind == RoomKind.Stairs)
            )
                return 0;
            var ceiling = storey.Floor + roofed.Where(r => r.Room.Storey == storey.Id).Max(r => r.Room.CeilingHeight);
            var rooms = roofed.Where(r => r.Room.Storey == storey.Id).ToList();
            var walk = new Walk(rooms, job.Frame.OutsideWall.InInches);
            var count = 0;
            foreach (var box in job.Decisions.Boxes.Where(b => b.Room is var r && house[r].Room.Storey == storey.Id && !b.Outside))
            {
                var route = runs.Route(new Hop(null, box.Id, default, default));

                // Straight up, across, straight down: what is longer at the ends than the height is a step aside.
                var across = route.Pieces.Where(p => p.Kind == WayKind.Field).ToList();
                if (
                    across.Count == 0
                    || across.Any(p => p.FromZ < ceiling)
                    || route.Pieces.Any(p => p.Kind is WayKind.Studs or WayKind.Outside)
                )
                    continue;
                var inches = across.Sum(p => p.Length.InInches);
                inches.ShouldBe(walk.Inches(across[0].From, across[^1].To), 8, $"seed {seed}, panel to {box.Id}");
                count++;
            }

            return count;
        }
    }

    /// <summary>Every place in 2 in cells, walked from one on along the axes.</summary>
    private sealed class Walk
    {
        private const double Cell = 2;

        private readonly double west,
            north;
        private readonly int wide,
            deep;
        private readonly bool[] free;
        private readonly Dictionary<(int, int), int[]> walked = [];

        internal Walk(List<RoomShape> rooms, double margin)
        {
            (west, north) = (rooms.Min(r => r.MinX.InInches) - 20, rooms.Min(r => r.MinY.InInches) - 20);
            (wide, deep) = (
                (int)((rooms.Max(r => r.MaxX.InInches) - west + 20) / Cell),
                (int)((rooms.Max(r => r.MaxY.InInches) - north + 20) / Cell)
            );
            free = new bool[wide * deep];
            for (var j = 0; j < deep; j++)
            {
                for (var i = 0; i < wide; i++)
                {
                    var (x, y) = (west + ((i + 0.5) * Cell), north + ((j + 0.5) * Cell));
                    free[(j * wide) + i] = rooms.Any(r =>
                        x > r.MinX.InInches - margin
                        && x < r.MaxX.InInches + margin
                        && y > r.MinY.InInches - margin
                        && y < r.MaxY.InInches + margin
                    );
                }
            }
        }

        internal double Inches(Point from, Point to)
        {
            var (start, goal) = (At(from), At(to));
            if (!walked.TryGetValue(start, out var steps))
                walked[start] = steps = From(start);
            return steps[(goal.J * wide) + goal.I] * Cell;
        }

        private (int I, int J) At(Point p) => ((int)((p.X.InInches - west) / Cell), (int)((p.Y.InInches - north) / Cell));

        private int[] From((int I, int J) start)
        {
            var steps = new int[wide * deep];
            Array.Fill(steps, int.MaxValue / 4);
            steps[(start.J * wide) + start.I] = 0;
            var queue = new Queue<int>([(start.J * wide) + start.I]);
            while (queue.TryDequeue(out var at))
            {
                foreach (var next in (int[])[at + 1, at - 1, at + wide, at - wide])
                {
                    if (next < 0 || next >= steps.Length || !free[next] || steps[next] <= steps[at] + 1)
                        continue;
                    steps[next] = steps[at] + 1;
                    queue.Enqueue(next);
                }
            }

            return steps;
        }
    }
}
