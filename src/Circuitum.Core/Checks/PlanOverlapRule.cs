using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>No two rooms of a storey over the same floor.</summary>
internal sealed class PlanOverlapRule : CheckedRule
{
    internal override string Id => "plan.overlap";

    private const double LeastSqFt = 0.1;

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a.Job.Storeys.SelectMany(s => Of(a, [.. a.House.Rooms.Where(r => r.Room.Storey == s.Id)]));

    private IEnumerable<Finding> Of(JobAnalysis a, List<RoomShape> rooms)
    {
        for (var i = 0; i < rooms.Count; i++)
        {
            for (var j = i + 1; j < rooms.Count; j++)
            {
                var over = HouseShape.OverlapSqFt(rooms[i], rooms[j]);
                if (over >= LeastSqFt)
                    yield return Breach(
                        a,
                        $"{rooms[i].Room.Name} and {rooms[j].Room.Name} cover the same {FloorArea.Show(over, a.Units, 1)}.",
                        Subject.Room(rooms[i].Room.Id),
                        Subject.Room(rooms[j].Room.Id)
                    );
            }
        }
    }
}
