using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using NetTopologySuite.Operation.Union;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Core.Checks;

/// <summary>Rooms a wall apart, and no floor inside that belongs to nobody.</summary>
internal sealed class PlanGapRule : CheckedRule
{
    internal override string Id => "plan.gap";

    private const double ThinnestWallInches = 2.5;

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var storey in a.Job.Storeys)
        {
            var rooms = a.House.Rooms.Where(r => r.Room.Storey == storey.Id).ToList();
            foreach (var finding in Close(a, rooms).Concat(Nobody(a, storey.Id, rooms)))
                yield return finding;
        }
    }

    private IEnumerable<Finding> Close(JobAnalysis a, List<RoomShape> rooms)
    {
        var told = new HashSet<string>();
        foreach (var room in rooms.Where(r => !r.Room.Kind.OpenAir()))
        {
            foreach (var wall in room.Walls)
            {
                var thin = a
                    .House.Facing(room, wall.Index)
                    .FirstOrDefault(f =>
                        !f.Room.Room.Kind.OpenAir()
                        && f.GapInches > -1
                        && f.GapInches < ThinnestWallInches
                        && f.To - f.From > Length.Inches(6)
                    );
                if (thin is null || !told.Add(string.Join('|', new[] { room.Room.Id, thin.Room.Room.Id }.Order(StringComparer.Ordinal))))
                    continue;
                var by = a.Job.Frame.Partition - Length.Inches(thin.GapInches);
                yield return Breach(
                    a,
                    $"{room.Room.Name} and {thin.Room.Room.Name} stand {LengthText.Show(Length.Inches(thin.GapInches), a.Units)} apart: "
                        + "that is no wall.",
                    Subject.Wall(room.Room.Id, wall.Index),
                    Subject.Room(thin.Room.Room.Id)
                ) with
                {
                    Fix = new("Make room for a partition", new MoveWall(room.Room.Id, wall.Index, -by, null, Alone: true)),
                };
            }
        }
    }

    private static readonly RoomsMemo<List<(Point At, double SqFt)>> Hollows = new();

    private IEnumerable<Finding> Nobody(JobAnalysis a, string storey, List<RoomShape> rooms)
    {
        var inside = rooms.Where(r => !r.Room.Kind.OpenAir()).ToList();
        if (inside.Count < 2)
            yield break;
        foreach (
            var (at, area) in Hollows.Of(a.Job.Rooms, $"{storey}:{a.Job.Frame.OutsideWall.Units}", () =>
                HollowsOf(inside, a.Job.Frame.OutsideWall)
            )
        )
        {
            var near = inside.MinBy(r => r.InchesToWall(at))!;
            yield return Breach(
                a,
                $"About {FloorArea.Show(area, a.Units)} beside {near.Room.Name} belong to no room. Draw a room or a closet "
                    + "there, or move the wall.",
                Subject.Room(near.Room.Id)
            );
        }
    }

    private static List<(Point At, double SqFt)> HollowsOf(List<RoomShape> inside, Length wall)
    {
        var grow = new BufferParameters(1, EndCapStyle.Flat, JoinStyle.Mitre, 5);
        var whole = UnaryUnionOp.Union(inside.Select(r => BufferOp.Buffer(HouseShape.Polygon(r.Room.Outline), wall.InInches, grow)));
        return
        [
            .. Enumerable
                .Range(0, whole.NumGeometries)
                .Select(whole.GetGeometryN)
                .OfType<Polygon>()
                .SelectMany(part => part.Holes.Select(h => new Polygon(h)))
                .Where(h => h.Area / 144 >= 1)
                .Select(h => (new Point(Length.Inches(h.Centroid.X), Length.Inches(h.Centroid.Y)), h.Area / 144)),
        ];
    }
}
