using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using NetTopologySuite.Geometries;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Core.Checks;

/// <summary>110.26(A): the working space in front of the panel.</summary>
internal sealed class PanelSpaceRule : CheckedRule
{
    internal override string Id => "panel.space";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var panel in a.Job.Panels)
        {
            foreach (var found in Of(a, panel))
                yield return found;
        }
    }

    private IEnumerable<Finding> Of(JobAnalysis a, Panel panel)
    {
        var room = a.House[panel.Room];
        var (width, depth) = (a.Edition.Number("workingWidthIn"), a.Edition.Number("workingDepthIn"));
        var subject = Subject.Panel(panel.Id);
        var length = room.Walls[panel.Wall].Length.InInches;

        if (length < width)
        {
            yield return Breach(
                a,
                $"The wall of the panel is only {LengthText.Show(room.Walls[panel.Wall].Length, a.Units)} wide; working at it takes "
                    + $"{a.Edition.Number("workingWidthIn")}.",
                subject
            );
            yield break;
        }

        // The space need not be centred on the panel, but the panel has to be within it: the best place counts.
        string? problem = null;
        foreach (var shift in new[] { 0.0, 4, -4, 7.5, -7.5 })
        {
            var from = Math.Clamp(panel.Along.InInches - (width / 2) + shift, 0, length - width);
            var found = InTheWay(a, room, panel, from, width, depth);
            if (found is null)
                yield break;
            problem ??= found;
        }

        yield return Breach(a, problem!, subject);
    }

    private static string? InTheWay(JobAnalysis a, RoomShape room, Panel panel, double from, double width, double depth)
    {
        Point[] corners =
        [
            room.On(panel.Wall, Length.Inches(from), 1),
            room.On(panel.Wall, Length.Inches(from + width), 1),
            room.On(panel.Wall, Length.Inches(from + width), depth),
            room.On(panel.Wall, Length.Inches(from), depth),
        ];
        var space = new Polygon(new LinearRing([.. corners.Append(corners[0]).Select(p => new Coordinate(p.X.InInches, p.Y.InInches))]));
        if (!HouseShape.Polygon(room.Room.Outline).Buffer(0.5).Contains(space))
            return $"{room.Room.Name} is not deep enough in front of the panel: {a.Edition.Number("workingWidthIn")} wide and "
                + $"{a.Edition.Number("workingDepthIn")} deep stay free.";
        var things = a
            .Job.Counters.Where(c => c.Room == panel.Room)
            .Select(c => ("a counter", c.Spot))
            .Concat(
                a.Job.Fixtures.Where(f => f.Room == panel.Room && (f.Bottom ?? Length.Zero) < Length.Inches(78))
                    .Select(f => ($"a {f.Kind.ToString().ToLowerInvariant()}", f.Spot))
            )
            .Concat(
                a.Job.Appliances.Where(x => x.Room == panel.Room && Codes.ApplianceFacts.Of(a.Job, x).Type.OutletHeightIn >= 0)
                    .Select(x => (Codes.ApplianceFacts.Of(a.Job, x).Name, x.Spot))
            );
        foreach (var (name, spot) in things)
        {
            var (w, n, e, s) = Places.Box(room, spot);
            if (space.Intersection(GeometryFactory.Default.ToGeometry(new Envelope(w, e, n, s))).Area > 4)
                return $"The working space of the panel holds {name}.";
        }

        return null;
    }
}
