using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Formats.Drawings;

namespace Circuitum.Web.Work;

/// <summary>What a hand that drags is told on the way. Nothing is changed.</summary>
internal static class Previews
{
    // Farther from its origin, in inches, no plan reaches.
    private const double FarthestInches = 12_000;

    internal static void Map(WebApplication app)
    {
        app.MapGet("/jobs/{id}/preview/reach", Reach);
        app.MapGet("/jobs/{id}/preview/moves", Moves);
        app.MapGet("/jobs/{id}/preview/lead", Lead);
        app.MapGet("/length", Inches);
    }

    // The reach of a room's receptacles as it would be with a box where the hand is; 422 with a sentence when it cannot stand there.
    private static async Task<IResult> Reach(
        string id,
        string storey,
        string box,
        double x,
        double y,
        JobDesk desk,
        HttpResponse response,
        CancellationToken cancel
    )
    {
        if (await desk.OpenAsync(id, cancel) is not { Analysis: var a } || Place(x, y) is not { } at || a.Job.StoreyById(storey) is null)
            return Results.NotFound();
        var moved = new MoveBox(box, null, null, at).Apply(a.Job);
        if (moved.Job is null)
            return Refused(moved.Problem);
        var (svg, worst) = ReachLayer.Of(a, new PlanView(storey, PlanStage.Boxes, $"{Subject.Box(box)}"), moved.Job.Decisions.Boxes);
        response.Headers["X-Worst"] = Uri.EscapeDataString(worst);
        return Results.Content(svg, "image/svg+xml");
    }

    // What each circuit would be with the boxes, or the room, that is dragged over them.
    private static async Task<IResult> Moves(string id, string[] box, string? room, JobDesk desk, CancellationToken cancel)
    {
        if (await desk.OpenAsync(id, cancel) is not { Analysis: var a } || (room is not null && a.Job.RoomById(room) is null))
            return Results.NotFound();
        return Results.Json(
            a.Circuits.Select(c => c.Circuit.Purpose)
                .Distinct()
                .SelectMany(purpose => With(a, purpose, box, room))
                .Select(s => new
                {
                    s.Number,
                    s.Receptacles,
                    s.Boxes,
                    s.Load,
                    s.Breaker,
                    More = LengthText.Far(s.Feet - a.CircuitByNumber(s.Number)!.Run.Cut.InFeet, a.Units, "+0;-0;+0"),
                    s.Findings,
                })
        );
    }

    // What a room gives hangs on what the circuit is for.
    private static IEnumerable<CircuitState> With(JobAnalysis a, CircuitPurpose purpose, string[] box, string? room)
    {
        var first = a.Circuits.First(c => c.Circuit.Purpose == purpose);
        var boxes = (room is null ? [.. box] : AssignRoom.Boxes(a.Job, room, first.Number)).ToHashSet();
        return boxes.Count == 0
            ? []
            : CircuitPreview.Everywhere(a, boxes).Where(s => a.CircuitByNumber(s.Number)!.Circuit.Purpose == purpose);
    }

    // The way that a cable would take over a place, and how much longer it would be.
    private static async Task<IResult> Lead(
        string id,
        string storey,
        string? from,
        string to,
        double x,
        double y,
        JobDesk desk,
        CancellationToken cancel
    )
    {
        if (await desk.OpenAsync(id, cancel) is not { Analysis: var a } || Place(x, y) is not { } over)
            return Results.NotFound();
        var start = string.IsNullOrEmpty(from) ? null : from;
        var led = new LeadCable(start, to, storey, over).Apply(a.Job);
        if (led.Job is null)
            return Refused(led.Problem);
        var after = HouseDeriver.Derive(led.Job);
        var cable = after.CircuitOf(to)!.Run.Cables.First(h => h.To == to && h.From == start);
        return Results.Json(
            new
            {
                way = RunLines.Way(after.RouteOf(cable)),
                says = $"{LengthText.Far(cable.Cut, a.Units)}, {LengthText.Far(cable.Longer, a.Units, "+0.#;-0.#;+0")} against "
                    + "the shortest way",
            }
        );
    }

    // A typed length in inches, for the hand that draws; 422 with a sentence when it is none.
    private static IResult Inches(string? text, string? units) =>
        LengthText.TryParse(text ?? "", Enum.TryParse<LengthUnits>(units, out var bare) ? bare : default, out var length, out var problem)
            ? Results.Content(length.InInches.ToString("R", CultureInfo.InvariantCulture))
            : Refused(problem);

    private static Point? Place(double x, double y) =>
        double.IsFinite(x) && double.IsFinite(y) && Math.Abs(x) <= FarthestInches && Math.Abs(y) <= FarthestInches
            ? new(Length.Inches(x), Length.Inches(y))
            : null;

    private static IResult Refused(string sentence) => Results.Text(sentence, statusCode: StatusCodes.Status422UnprocessableEntity);
}
