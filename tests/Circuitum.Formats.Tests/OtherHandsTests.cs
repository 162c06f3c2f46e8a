using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Pictures;
using Xunit.Abstractions;

namespace Circuitum.Formats.Tests;

/// <summary>Rooms and doors read out of plans that are not of this program's drawing.</summary>
public class OtherHandsTests(ITestOutputHelper output)
{
    /// <summary>Ways of drawing a wall.</summary>
    public static TheoryData<string> Ways => new() { nameof(OtherHands.Walls.Grey), nameof(OtherHands.Walls.Hollow) };

    [Theory]
    [MemberData(nameof(Ways))]
    public void Most_rooms_and_doors_are_found_whatever_way_walls_are_drawn(string way)
    {
        var tally = new PlanPictures.Tally();
        var (windows, there, named, rooms) = (0, 0, 0, 0);
        foreach (var name in PlanPictures.Names)
        {
            var a = Analyzer.Analyze(JobFileTests.Demo($"{name}.json"));
            foreach (var storey in a.Job.Storeys)
            {
                var (png, extent) = OtherHands.Draw(a, storey.Id, Enum.Parse<OtherHands.Walls>(way));
                var picture = PlanPictures.Scanned(png, 1.5, 10, 80);
                var (wide, tall) = (Length.Inches(extent.Wide), Length.Inches(extent.Tall));
                var plan = PicturePlan.Read(picture, wide, tall, storey.Id, Length.Feet(8), a.Job.Frame);
                windows += plan.Openings.Count(o => o.Kind == OpeningKind.Window);
                there += a.Job.Openings.Count(o => o.Kind == OpeningKind.Window && a.House[o.Room].Room.Storey == storey.Id);
                tally.Add(a, storey.Id, plan, extent);
                named += plan.Rooms.Index().Count(r => plan.Names[r.Index] is { } at && Holds(at, new RoomShape(r.Item).Centre));
                rooms += plan.Rooms.Length;
            }
        }

        output.WriteLine($"{tally}; {windows} windows for {there}, {named} names in {rooms} rooms read");
        ((double)tally.Found / tally.Rooms).ShouldBeGreaterThanOrEqualTo(0.9);
        ((double)tally.Right / tally.Doors).ShouldBeGreaterThanOrEqualTo(0.8);
        ((double)windows / there).ShouldBeInRange(0.85, 1.15);
        ((double)named / rooms).ShouldBeGreaterThanOrEqualTo(0.85);

        // A name stands in the middle of its room.
        static bool Holds(Drawings.Area area, Point at) =>
            at.X.InInches > area.X0 && at.X.InInches < area.X1 && at.Y.InInches > area.Y0 - 8 && at.Y.InInches < area.Y1 + 8;
    }

    // A bay with two slanted sides and a room of which a corner is cut off.
    [Theory]
    [MemberData(nameof(Ways))]
    public void Slanted_walls_are_found_where_they_run(string way)
    {
        static Room Room(string id, params (double X, double Y)[] feet) =>
            new()
            {
                Id = id,
                Name = id,
                Storey = "first",
                Kind = RoomKind.Living,
                CeilingHeight = Length.Feet(8),
                Outline = [.. feet.Select(f => new Point(Length.Feet(f.X), Length.Feet(f.Y)))],
            };
        var job = new Job
        {
            Name = "Slants",
            Storeys = [new() { Id = "first", Name = "First floor" }],
            Rooms =
            [
                Room("Bay", (0, 0), (14, 0), (14, 4), (17, 7), (17, 11), (14, 14), (14, 18), (0, 18)),
                Room("Cut", (0, 18.375), (10, 18.375), (14, 24), (14, 32), (0, 32)),
                Room("Plain", (-12.375, 0), (-0.375, 0), (-0.375, 18), (-12.375, 18)),
            ],
        };
        var a = Analyzer.Analyze(job);
        var (png, extent) = OtherHands.Draw(a, "first", Enum.Parse<OtherHands.Walls>(way));
        var picture = PlanPictures.Scanned(png, -2, 10, 80);
        var plan = PicturePlan.Read(picture, Length.Inches(extent.Wide), Length.Inches(extent.Tall), "first", Length.Feet(8), job.Frame);
        plan.Problem.ShouldBe("");
        var tally = new PlanPictures.Tally();
        tally.Add(a, "first", plan, extent);
        tally.Missed.ShouldBeEmpty();
        foreach (var room in job.Rooms)
        {
            var read = plan.Rooms.MinBy(r => Off(r.Outline, room.Outline, extent));
            read!.Outline.Length.ShouldBe(room.Outline.Length, room.Name);
            Off(read.Outline, room.Outline, extent).ShouldBeLessThan(3, room.Name);
        }
    }

    // The farthest that a corner of one lies from the nearest of the other.
    private static double Off(IEnumerable<Point> read, IEnumerable<Point> truth, Drawings.Area extent) =>
        truth.Max(t =>
            read.Min(r => Math.Max(Math.Abs(t.X.InInches - extent.X0 - r.X.InInches), Math.Abs(t.Y.InInches - extent.Y0 - r.Y.InInches)))
        );
}
