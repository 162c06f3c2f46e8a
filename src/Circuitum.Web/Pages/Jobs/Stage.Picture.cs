using System.Globalization;
using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Pictures;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;

namespace Circuitum.Web.Pages.Jobs;

// Rooms read out of the picture under a storey.
public sealed partial class StageModel
{
    /// <summary>Shows what can be read out of the picture. Nothing is changed.</summary>
    public async Task<IActionResult> OnGetReadPictureAsync(CancellationToken cancel)
    {
        if (!await Load(cancel) || Under is not { } under || await Read(under, cancel) is not { } plan)
            return NotFound();
        var drawing = "";
        if (plan.Problem.Length == 0)
        {
            var (taken, _) = PictureTaking.Into(
                Emptied(Job),
                under,
                plan,
                Enumerable.Range(0, plan.Rooms.Length).ToDictionary(i => i, _ => "")
            );
            var view = new PlanView(Storey, PlanStage.Rooms) { Canvas = BesideList };
            drawing = SvgWriter.Text(PlanComposer.Compose(Analyzer.Analyze(taken ?? Job), view));
        }

        return Partial("Rooms/_ReadPicture", (this, plan, drawing));
    }

    // Farther from the house no picture lies.
    private const double MostInches = 100_000;

    // As wide as the list in which it stands, so that its letters keep their size.
    private static readonly (double Wide, double Tall) BesideList = (360, 300);

    // Only what is read is shown.
    private static Job Emptied(Job job) =>
        new()
        {
            Frame = job.Frame,
            Storeys = job.Storeys,
            CodeEdition = job.CodeEdition,
            Name = job.Name,
        };

    private async Task<PicturePlan?> Read(Underlay under, CancellationToken cancel)
    {
        if (await desk.PictureAsync(Id, under.Picture, cancel) is not { } picture)
            return null;
        var ceiling = Job.StoreyById(under.Storey)!.Ceiling ?? Length.Feet(8);
        return await Task.Run(() => PicturePlan.Read(picture.Bytes, under.Width, under.Height, under.Storey, ceiling, Job.Frame), cancel);
    }

    // Four points of the picture, laid flat: the picture itself is made anew, so the form alone holds no edit.
    private async Task<string> Squared(EditForm form, int stamp, CancellationToken cancel)
    {
        if (Under is not { } under)
            return "There is no picture under this storey any more.";
        var corners = new List<Point>();
        foreach (var n in Enumerable.Range(1, 4))
        {
            if (At($"x{n}") is not { } x || At($"y{n}") is not { } y)
                return "Corners: click the four corners of the house, or of a rectangle in it.";
            corners.Add(new(Length.Inches(x), Length.Inches(y)));
        }

        if (form.Text("size") is not { Length: > 0 } typed)
            return await desk.SquareUnderAsync(Id, stamp, under, corners, null, cancel);
        return
            typed.ToLowerInvariant().Split('x', '×') is [var width, var depth]
            && LengthText.TryParse(width, Job.Units, out var wide, out _)
            && LengthText.TryParse(depth, Job.Units, out var deep, out _)
            && wide > Length.Zero
            && deep > Length.Zero
            ? await desk.SquareUnderAsync(Id, stamp, under, corners, (wide, deep), cancel)
            : $"Size between the corners: \"{typed}\" is no width x depth. Type two lengths, such as 42 x 28'6, or leave it empty.";

        double? At(string name) =>
            double.TryParse(form.Text(name), NumberStyles.Float, CultureInfo.InvariantCulture, out var at) && Math.Abs(at) < MostInches
                ? at
                : null;
    }

    private async Task<(JobCommand? Edit, string Problem)> FromPicture(EditForm form, CancellationToken cancel)
    {
        if (Under is not { } under || await Read(under, cancel) is not { Problem: "" } plan)
            return (null, "There is no picture under this storey any more that rooms could be read out of.");
        var chosen = Request
            .Form["room"]
            .Select(r => int.TryParse(r, NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? n : -1)
            .Where(n => n >= 0 && n < plan.Rooms.Length)
            .Distinct()
            .ToDictionary(n => n, n => form.Text($"name-{n}").Trim());
        if (chosen.Count == 0)
            return (null, "Tick the rooms that are to be taken.");
        var (taken, problem) = PictureTaking.Into(Job, under, plan, chosen);
        return (taken is null ? null : new TakeDrawing(taken), problem);
    }
}
