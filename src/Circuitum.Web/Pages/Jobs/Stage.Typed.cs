using Circuitum.Core.Commands;
using Circuitum.Core.Entry;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Formats.Drawings;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;

namespace Circuitum.Web.Pages.Jobs;

// Rooms that are typed a line each.
public sealed partial class StageModel
{
    /// <summary>The lines that were typed and refused: nobody types them twice.</summary>
    public string TypedRooms => Refusal.Length > 0 && Request.HasFormContentType ? Request.Form["lines"].ToString() : "";

    /// <summary>Shows what typed rooms would make. Nothing is changed.</summary>
    public async Task<IActionResult> OnPostTryAsync(CancellationToken cancel)
    {
        if (!await Load(cancel))
            return NotFound();
        if (new EditForm(Request.Form).Read(Job.Units).Edit is not TypeRooms typed || Job.StoreyById(typed.Storey) is null)
            return BadRequest();
        var (made, problems) = RoomList.Take(Job, typed.Storey, typed.Lines);
        var (rooms, openings) = (made.Rooms.Length - Job.Rooms.Length, made.Openings.Length - Job.Openings.Length);
        var drawing = "";
        if (!ReferenceEquals(made, Job))
        {
            // One types at the end of the list, so the storey that came last is what one wants to see.
            var storey = made.Rooms.Length > Job.Rooms.Length ? made.Rooms[^1].Storey : typed.Storey;
            var view = new PlanView(storey, PlanStage.Rooms) { Canvas = Shown.Canvas(Request.Cookies["canvas"]) };
            drawing = SvgWriter.Text(PlanComposer.Compose(Analyzer.Analyze(made), view));
        }

        return Partial("Rooms/_Trial", new TypedTrial(problems, rooms, openings, drawing));
    }
}
