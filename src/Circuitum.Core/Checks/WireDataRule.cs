using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;

namespace Circuitum.Core.Checks;

/// <summary>Power through the studs of a wall in which data cable runs.</summary>
internal sealed class WireDataRule : CheckedRule
{
    internal override string Id => "wire.data";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (!a.Job.Walls.Any(w => w.DataCable))
            yield break;
        var through = a
            .Circuits.SelectMany(c => c.Run.Cables.Select(h => (Circuit: c.Number, Route: a.RouteOf(h))))
            .SelectMany(x =>
                WallCables
                    .Drilled(a, x.Route)
                    .Where(d => WallBody.Of(a.House, d.Room, d.Wall).Fact?.DataCable == true)
                    .Select(d => (x.Circuit, d.Room, d.Wall))
            )
            .GroupBy(x => WallBody.Of(a.House, x.Room, x.Wall).Fact!)
            .OrderBy(g => g.Key.Room, StringComparer.Ordinal)
            .ThenBy(g => g.Key.Wall);
        foreach (var wall in through)
        {
            var circuits = wall.Select(x => x.Circuit).Distinct().Order().ToList();
            var (shape, number) = (a.House[wall.Key.Room], wall.Key.Wall);
            yield return Breach(
                a,
                $"Data cable runs in the {LabelWriter.Facing(shape, number)} wall of {shape.Room.Name}, and cable of circuit "
                    + $"{string.Join(", ", circuits)} through its studs.",
                [Subject.Wall(wall.Key.Room, number), .. circuits.Select(c => Subject.Circuit(c))]
            ) with
            {
                Fix = new("Keep power out of it", new CloseWall(wall.Key.Room, number, Closed: true)),
            };
        }
    }
}
