using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>Ways in many made-up houses with windows, beams, ducts and walls of every build, held against rules told anew.</summary>
public partial class RouteHouseTests
{
    private const int Houses = 120;

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
            var runs = new CableRouter(house);
            var boxes = job.Decisions.Boxes.ToDictionary(b => b.Id);
            var check = new Inspector(house);
            foreach (var segment in Analyzer.Analyze(job).Circuits.SelectMany(c => c.Run.Cables).Where(h => h.Via is null))
            {
                var (route, told) = (runs.Route(segment), $"seed {seed}, {segment.From ?? "panel"} to {segment.To}");
                Interlocked.Increment(ref routes);
                route.Length.InInches.ShouldBe(segment.Way.InInches, 2, told);
                Inspector.Joined(route, told);
                check.Fields(route, told);
                Interlocked.Add(ref studs, check.Studs(route, told));

                // No shorter than straight through the frame along its three axes.
                var to = Place(boxes[segment.To]);
                var (at, z) = segment.From is { } from
                    ? Place(boxes[from])
                    : (
                        house[job.Panels[0].Room].On(job.Panels[0].Wall, job.Panels[0].Along),
                        house.Job.StoreyById(house[job.Panels[0].Room].Room.Storey)!.Floor + job.Panels[0].Top
                    );
                segment.Way.InInches.ShouldBeGreaterThanOrEqualTo((at.RectilinearTo(to.At) + (z - to.Height).Abs()).InInches - 8, told);
            }

            Interlocked.Add(ref walked, check.AsShortAsWalked(runs, seed));

            (Point At, Length Height) Place(Box b) =>
                (Places.Of(house, b), house.Job.StoreyById(house[b.Room].Room.Storey)!.Floor + b.Height);
        });
        routes.ShouldBeGreaterThan(Houses * 30);
        walked.ShouldBeGreaterThan(Houses * 5);
        studs.ShouldBeGreaterThan(Houses);
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
