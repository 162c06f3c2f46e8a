using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

// Walks the ways of a house over every cell.
public partial class RouteHouseTests
{
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
        internal int AsShortAsWalked(CableRouter runs, int seed)
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
                var route = runs.Route(new CableSegment(null, box.Id, default, default));

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
}
