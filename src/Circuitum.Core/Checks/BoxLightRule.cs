using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A switched light in each room that wants one, and over each flight of stairs.</summary>
internal sealed class BoxLightRule : CheckedRule
{
    internal override string Id => "box.light";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var switched = SwitchedLights.Of(a);
        var rooms = a.House.Rooms.Where(r =>
            a.Edition.Traits(r.Room.Kind) is { Light: true } traits
            && r.Room.Kind != RoomKind.Stairs
            && (!traits.Outdoors || r.Openings.Any(o => o.IsDoorway))
        );
        return rooms
            .Select(r => (Shape: r, Flight: ""))
            .Concat(StairRules.Flights(a.House).Select(f => (f.Upper, " for its flight")))
            .Select(x => Of(a, x.Item1, x.Item2, switched))
            .OfType<Finding>();
    }

    private Finding? Of(JobAnalysis a, RoomShape shape, string flight, HashSet<string> switched)
    {
        var lights = SwitchedLights.In(a, shape);
        if (lights.Count == 0)
            return Breach(a, $"{shape.Room.Name} has no {a.Edition.Word("lighting outlet")}{flight}.", Subject.Room(shape.Room.Id)) with
            {
                Fix = BoxFixes.Propose(shape),
            };
        return lights.Exists(l => switched.Contains(l.Id))
            ? null
            : Breach(a, $"The light of {shape.Room.Name} has no wall switch.", Subject.Box(lights[0].Id)) with
            {
                Fix = SwitchedLights.SwitchIn(a, shape),
            };
    }
}
