using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Documents;

/// <summary>
/// The plans of a storey on paper, building by building: to a stated scale where the paper allows it, the sheet turned as suits the
/// plan, with a legend of what stands on it.
/// </summary>
internal static class PlanPaper
{
    // Points to a pixel: the least letters of a drawing are over six and a half points on paper.
    private const float PerPixel = 0.72f;

    // The usual scales, the largest first: points to an inch of the house.
    private static (double Points, string Name)[] Scales(LengthUnits units) =>
        units == LengthUnits.FeetInches
            ? ByTheFoot
            : [(72.0 / 50, "Scale 1:50."), (72.0 / 75, "Scale 1:75."), (72.0 / 100, "Scale 1:100.")];

    private static readonly (double Points, string Name)[] ByTheFoot =
    [
        (1.5, "1/4 in to the foot."),
        (1.125, "3/16 in to the foot."),
        (0.75, "1/8 in to the foot."),
    ];

    // Above the plan: heading and text.
    private const float HeadRoom = 60;
    private const float LegendRoom = 52;

    internal static void Lay(PaperDraft s, PaperSize size, JobAnalysis a, Storey storey)
    {
        var left = a.House.Rooms.Where(r => r.Room.Storey == storey.Id).ToList();
        if (left.Count == 0)
        {
            s.Part(Title(a, storey, ""), flows: true);
            s.Text("No rooms yet.");
            return;
        }

        var buildings = left.GroupBy(r => a.House.BuildingOf(r.Room.Id)).OrderByDescending(g => g.Sum(r => r.AreaSqFt)).ToList();
        foreach (var building in buildings)
            Lay(s, size, a, storey, [.. building], building == buildings[0] ? "" : building.MaxBy(r => r.AreaSqFt)!.Room.Name);
    }

    private static string Title(JobAnalysis a, Storey storey, string building) =>
        $"{storey.Name}{(building.Length > 0 ? $", {building}" : "")}: {a.Edition.Word("boxes")} with their circuits";

    private static void Lay(PaperDraft s, PaperSize size, JobAnalysis a, Storey storey, List<RoomShape> rooms, string building)
    {
        var (wide, tall) = (rooms.Max(r => r.MaxX) - rooms.Min(r => r.MinX), rooms.Max(r => r.MaxY) - rooms.Min(r => r.MinY));
        var page = PageRoom.Of(size);
        var turned = Fit(page.LongSide, page.ShortSide) > Fit(page.ShortSide, page.LongSide);
        s.Part(Title(a, storey, building), turned: turned);
        var fit = turned ? Fit(page.LongSide, page.ShortSide) : Fit(page.ShortSide, page.LongSide);
        var (scale, name) = Scales(a.Units).Append((Points: fit, Name: "Drawn to fit, not to a scale.")).First(x => x.Points <= fit);
        s.Text(
            $"{name} The number in each room is the circuit of the {a.Edition.Word("boxes")} that its lines join; a filled one stands "
                + $"where its {a.Edition.Word("home run")} leaves."
        );
        var ids = rooms.Select(r => r.Room.Id).ToHashSet();
        var drawing = PlanComposer.Compose(a, new PlanView(storey.Id, PlanStage.Circuits) { Among = [.. ids], AtScale = scale / PerPixel });
        s.Draw(drawing, scale, PerPixel);
        var boxes = a.Job.Decisions.Boxes.Where(b => ids.Contains(b.Room)).ToList();
        if (boxes.Count > 0)
            s.Draw(Legend.Of(a, boxes, (turned ? page.LongSide : page.ShortSide) / PerPixel), PerPixel, PerPixel);

        double Fit(double across, double down)
        {
            const double Margins = 2 * Composition.MarginPixels * PerPixel;
            return Math.Min(
                (across - Margins) / wide.InInches,
                (down - PageRoom.FootRoom - HeadRoom - LegendRoom - Margins) / tall.InInches
            );
        }
    }
}
