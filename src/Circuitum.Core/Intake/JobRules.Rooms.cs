using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Intake;

/// <content>Rooms and buildings.</content>
public static partial class JobRules
{
    /// <summary>Farthest from end to end of one building; sheds stand as far off as <see cref="Farthest"/> lets them.</summary>
    public static readonly Length LongestBuilding = Length.Feet(300);

    // All buildings together, each as the rectangle around it.
    private const double MostSqFt = 150_000;

    private static void CheckRooms(Job job, List<Problem> problems)
    {
        foreach (var (storey, i) in job.Storeys.Select((s, i) => (s, i)))
        {
            Text($"storeys[{i}].name", storey.Name, LongestName, problems);
            Range($"storeys[{i}].floor", storey.Floor, -Length.Feet(40), Length.Feet(100), problems);
        }

        foreach (var (room, i) in job.Rooms.Select((r, i) => (r, i)))
        {
            var field = $"rooms[{i}]";
            if (string.IsNullOrWhiteSpace(room.Name))
                problems.Add(new($"{field}.name", "Give the room a name."));
            Text($"{field}.name", room.Name, LongestName, problems);
            if (job.StoreyById(room.Storey) is null)
                problems.Add(new($"{field}.storey", $"There is no storey '{Short(room.Storey)}'."));
            Range($"{field}.ceilingHeight", room.CeilingHeight, Length.Feet(4), Length.Feet(40), problems);
            if (room.ReceptacleReach is { } reach)
                Range($"{field}.receptacleReach", reach, Length.Feet(1), Length.Feet(6), problems);
            CheckOutline(field, room, problems);
        }
    }

    // The frame of each building is searched in stud by stud, so its size is the work that a file can ask for.
    // So many metres are seldom a house.
    private static string Meant(Job job) => job.Units == LengthUnits.Metric ? " Were millimetres meant where it says metres?" : "";

    private static void CheckExtents(Job job, List<Problem> problems)
    {
        var house = HouseShape.Of(job with { Openings = [] });
        var seen = new HashSet<string>();
        var covered = 0.0;
        for (var i = 0; i < job.Rooms.Length; i++)
        {
            if (seen.Contains(job.Rooms[i].Id))
                continue;
            var building = house.BuildingOf(job.Rooms[i].Id);
            seen.UnionWith(building);
            var rooms = building.Select(id => house[id]).ToList();
            var (wide, deep) = (rooms.Max(r => r.MaxX) - rooms.Min(r => r.MinX), rooms.Max(r => r.MaxY) - rooms.Min(r => r.MinY));
            if (Length.Max(wide, deep) > LongestBuilding)
                problems.Add(
                    new(
                        $"rooms[{i}].outline",
                        $"The building that {Short(job.Rooms[i].Name)} belongs to is over {LongestBuilding.InFeet:0} ft from end to end."
                            + Meant(job)
                    )
                );
            covered += wide.InFeet * deep.InFeet;
        }

        if (problems.Count == 0 && covered > MostSqFt)
            problems.Add(new("rooms", $"The buildings cover {covered:#,0} sq ft together; a job holds {MostSqFt:#,0} at most."));
    }

    private static void CheckOutline(string field, Room room, List<Problem> problems)
    {
        var outline = room.Outline;
        if (outline.Length is < 3 or > MostCorners)
        {
            problems.Add(new($"{field}.outline", $"An outline has 3 to {MostCorners} corners."));
            return;
        }

        for (var c = 0; c < outline.Length; c++)
        {
            if (outline[c].X.Abs() > Farthest || outline[c].Y.Abs() > Farthest)
            {
                problems.Add(new($"{field}.outline[{c}]", $"A corner lies over {Farthest.InFeet:0} ft from the origin."));
                return;
            }

            if (outline[c].InchesTo(outline[(c + 1) % outline.Length]) < 1)
            {
                problems.Add(new($"{field}.outline[{c}]", "A wall is shorter than 1 in. Take out the double corner."));
                return;
            }
        }

        if (!HouseShape.IsSimple(outline))
            problems.Add(
                new(
                    $"{field}.outline",
                    $"The outline of {Short(room.Name)} crosses or touches itself. Give its corners in order, going round once."
                )
            );
        else if (new RoomShape(room).AreaSqFt < 1)
            problems.Add(new($"{field}.outline", $"{Short(room.Name)} is smaller than 1 sq ft."));
    }
}
