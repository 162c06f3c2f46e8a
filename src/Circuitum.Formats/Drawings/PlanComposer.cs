using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Drafting;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Drawings;

/// <summary>Composes the plan of a storey, or of one of its rooms, for a scale.</summary>
public static class PlanComposer
{
    // Around one room, in inches, its neighbours are seen.
    private const double AroundRoom = 30;

    // Where there is nothing yet.
    private static readonly Area Blank = new(0, 0, 360, 240);

    /// <summary>The drawing of a view.</summary>
    public static Drawing Compose(JobAnalysis a, PlanView view)
    {
        var rooms = a
            .House.Rooms.Where(r => r.Room.Storey == view.Storey && (view.Only.Length == 0 || Near(r, a.House[view.Only])))
            .Where(r => view.Among?.Contains(r.Room.Id) != false)
            .ToImmutableArray();
        var under = view.Pictures.Length > 0 ? a.Job.Underlays.FirstOrDefault(u => u.Storey == view.Storey) : null;
        var plan = Plan(view.Only.Length == 0 ? rooms : [a.House[view.Only]], under);
        if (view.Only.Length > 0)
            plan = plan.Grow(AroundRoom);
        var on = new Composition(a, view, rooms, plan, Scale(plan, view));
        if (under is not null)
            on.Add("under", Picture(under, view));
        HouseLayers.Compose(on);
        PlaceLayers.Wishes(on);
        if (view.Stage is PlanStage.Rooms or PlanStage.Dimensioned)
            DimensionLayers.Compose(on);
        Electrical(on);
        foreach (var room in rooms)
            on.Layer($"name-{room.Room.Id}");
        foreach (var room in rooms)
            NameLabels.Room(on, room);
        if (view.Stage == PlanStage.Runs)
            RunLayers.Handle(on);
        var storey = a.Job.StoreyById(view.Storey)?.Name;
        return on.Done($"Plan of {storey}") with { Name = $"plan stage-{view.Stage.ToString().ToLowerInvariant()}", Data = Snaps(a, view) };
    }

    /// <summary>A storey in small, for a list: its floors, walls and openings, without a word.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="storey">The storey.</param>
    /// <param name="canvas">How large it may be, in pixels.</param>
    public static Drawing Thumbnail(JobAnalysis a, string storey, (double Wide, double Tall) canvas)
    {
        var drawing = Compose(a, new PlanView(storey, PlanStage.Rooms) { Canvas = canvas });
        return drawing with
        {
            Name = "plan thumbnail",
            Extent = drawing.Extent.Grow(-0.8 * Composition.MarginPixels / drawing.Scale),
            Layers =
            [
                .. drawing
                    .Layers.Where(l => l.Shapes.Length > 0)
                    .Select(l => new Layer("", [.. l.Shapes.Where(s => s is not AnchorShape)])),
            ],
        };
    }

    private static void Electrical(Composition on)
    {
        var stage = on.View.Stage;
        var boxes = stage is PlanStage.Boxes or PlanStage.Circuits or PlanStage.Runs;
        var marks = boxes ? BoxLayers.Place(on) : [];
        var pencils = new Pencils(on.A);
        switch (stage)
        {
            case PlanStage.Boxes:
                on.Add("reach", ReachLayer.Shapes(on.A, on.View, on.Rooms, on.A.Job.Decisions.Boxes));
                PlaceLayers.Switching(on);
                break;
            case PlanStage.Circuits:
                CircuitLayers.Wiring(on, marks, pencils);
                break;
            case PlanStage.Runs:
                RunLayers.Compose(on);
                break;
        }

        PlaceLayers.Panels(on);
        if (boxes)
            BoxLayers.Compose(on, marks, pencils);
        if (stage == PlanStage.Circuits)
            CircuitLayers.Tags(on, marks, pencils);
    }

    // As large as the canvas lets it be, with room for labels around.
    private static double Scale(Area plan, PlanView view)
    {
        const double Least = 0.05;
        if (view.AtScale is { } stated)
            return stated;
        var (wide, tall) = view.Canvas;
        var scale = Math.Min(
            (wide - (2 * Composition.MarginPixels)) / Math.Max(1, plan.Wide),
            (tall - (2 * Composition.MarginPixels)) / Math.Max(1, plan.Tall)
        );
        return Math.Max(Least, scale) * Math.Max(1, view.Zoom);
    }

    private static bool Near(RoomShape room, RoomShape to)
    {
        var reach = Length.Inches(AroundRoom);
        return room.MinX <= to.MaxX + reach && room.MaxX >= to.MinX - reach && room.MinY <= to.MaxY + reach && room.MaxY >= to.MinY - reach;
    }

    private static Area Plan(ImmutableArray<RoomShape> rooms, Underlay? under)
    {
        var around =
            rooms.Length == 0
                ? Blank
                : new(
                    rooms.Min(r => r.MinX).InInches,
                    rooms.Min(r => r.MinY).InInches,
                    rooms.Max(r => r.MaxX).InInches,
                    rooms.Max(r => r.MaxY).InInches
                );
        if (under is null)
            return around;
        var picture = At(under);
        return rooms.Length == 0
            ? picture
            : new(
                Math.Min(around.X0, picture.X0),
                Math.Min(around.Y0, picture.Y0),
                Math.Max(around.X1, picture.X1),
                Math.Max(around.Y1, picture.Y1)
            );
    }

    private static Area At(Underlay under)
    {
        var (x, y) = (under.At.X.InInches, under.At.Y.InInches);
        return new(x, y, x + under.Width.InInches, y + under.Height.InInches);
    }

    private static PictureShape Picture(Underlay under, PlanView view) =>
        new(view.Pictures + under.Picture, At(under), under.Strength / 100.0) { Data = [("data-drag", "under")] };

    private static ImmutableArray<(string, string)> Snaps(JobAnalysis a, PlanView view)
    {
        if (view is not { StandAlone: false, Stage: PlanStage.Rooms })
            return [];
        var lines = SnapLines.Of(a.Job, view.Storey);
        return
        [
            ("data-snap-x", string.Join(' ', lines.X.Select(x => SvgWriter.N(x.InInches)))),
            ("data-snap-y", string.Join(' ', lines.Y.Select(y => SvgWriter.N(y.InInches)))),
        ];
    }
}
