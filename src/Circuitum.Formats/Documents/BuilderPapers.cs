using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Formats.Documents;

/// <summary>Papers for those who build before the electrician comes: the maker of insulated panels, and the framer.</summary>
internal static class BuilderPapers
{
    internal static void Write(PaperDraft s, JobAnalysis a)
    {
        var sheet = BuilderSheet.Of(a);
        s.Part("For the maker of insulated panels");
        if (sheet.Panels.Length == 0)
            s.Text("No wall of this house is built of insulated panels. Where one is, say so on its ticket in Rooms.");
        else
            s.Text("Stations are from the left corner as one faces the wall from the named room, heights over the finished floor.");
        foreach (var wall in sheet.Panels)
            Wall(s, wall, a.Units);

        s.Part("For the framer", flows: true);
        s.Text("To be settled before the frame is nailed: what is to be fastened to, and where no stud or joist may stand.");
        if (sheet.Frame.Length == 0)
            s.Text("Nothing.");
        foreach (var room in sheet.Frame.GroupBy(l => l.Room))
        {
            s.Heading(a.Job.RoomById(room.Key)?.Name ?? room.Key);
            s.Table(
                [new("What", 14), new("Where", 38), new("How", 26), new("For", 22)],
                room.OrderBy(l => l.What, StringComparer.Ordinal).Select(l => new[] { l.What, l.Where, l.How, l.For })
            );
        }
    }

    private static void Wall(PaperDraft s, PanelWall wall, LengthUnits units)
    {
        s.Heading(wall.Where);
        var stated = wall.StatedHeight is { } height
            ? $" The job states a level chase at {LengthText.Show(height, units)}"
                + (wall.StatedStations is { } apart ? $" and upright ones every {LengthText.Show(apart, units)}." : ".")
            : "";
        s.Text(
            $"{LengthText.Show(wall.Long, units)} long, {LengthText.Show(wall.Tall, units)} tall. "
                + $"Chases of {wall.ChaseIn.ToString("0.#", CultureInfo.InvariantCulture)} in: "
                + $"upright at {Say(wall.Upright, units)}; level at {Say(wall.Level, units)}.{stated}"
        );
        if (wall.Holes.Length > 0)
            s.Table(
                [new("Hole at", 16), new("Through", 40), new("Diameter", 14, true), new("Cables", 10, true)],
                wall.Holes.Select(h =>
                    new[]
                    {
                        LengthText.Show(h.Station, units),
                        h.Floor ? "the floor below, under the chase" : "the head of the wall",
                        DrillLine.Marked(h.BitSixteenths),
                        h.Cables.ToString(CultureInfo.InvariantCulture),
                    }
                )
            );
        if (wall.Boxes.Length > 0)
            s.Table(
                [new("Box", 16), new("Station", 12), new("Middle over the floor", 16), new("Wide, in", 10, true), new("What", 36)],
                wall.Boxes.Select(b =>
                    new[]
                    {
                        b.Box,
                        LengthText.Show(b.Station, units),
                        LengthText.Show(b.Height, units),
                        b.WideIn.ToString("0.#", CultureInfo.InvariantCulture),
                        b.What,
                    }
                )
            );
    }

    private static string Say(ImmutableArray<Length> places, LengthUnits units) =>
        places.Length == 0 ? "none" : string.Join(", ", places.Select(p => LengthText.Show(p, units)));
}
