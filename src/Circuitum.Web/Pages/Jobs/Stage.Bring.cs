using System.Net;
using System.Text;
using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;

namespace Circuitum.Web.Pages.Jobs;

// What comes from outside of the job: the firm's preferences, a room of another job.
public sealed partial class StageModel
{
    /// <summary>The jobs from which a room can be brought, as choices.</summary>
    public async Task<IActionResult> OnGetOtherJobsAsync(CancellationToken cancel) =>
        Choices("choose one", (await desk.ListAsync(cancel)).Where(j => j.Id != Id).Select(j => (j.Id, j.Name)));

    /// <summary>The rooms of another job, as choices.</summary>
    public async Task<IActionResult> OnGetRoomsOfAsync(string? from, CancellationToken cancel) =>
        string.IsNullOrEmpty(from) || await desk.OpenAsync(from, cancel) is not { Analysis.Job: var job }
            ? Choices("choose the job first", [])
            : Choices("", job.Rooms.Select(r => (r.Id, r.Name)));

    private ContentResult Choices(string first, IEnumerable<(string Value, string Name)> all)
    {
        var choices = new StringBuilder();
        foreach (var (value, name) in first.Length > 0 ? all.Prepend(("", first)) : all)
            choices.Append($"<option value=\"{WebUtility.HtmlEncode(value)}\">{WebUtility.HtmlEncode(name)}</option>");
        return Content(choices.ToString(), "text/html", Encoding.UTF8);
    }

    // What the program itself makes an edit of, where no form holds all of it.
    private async Task<(JobCommand? Edit, string Problem)> ReadAsync(EditForm form, CancellationToken cancel) =>
        form.Word switch
        {
            "company-preferences" => (new SetPreferences((await desk.CompanyAsync(cancel)).Company.Preferences), ""),
            "bring-room" => await Brought(form, cancel),
            "bring-reels" => await desk.OpenAsync(form.Text("from"), cancel) is { Analysis.Job: var other } && form.Text("from") != Id
                ? (new BringReels(other), "")
                : (null, "Job: choose the one that has the reels."),
            "take-picture" => await FromPicture(form, cancel),
            _ => form.Read(Job.Units),
        };

    // A reel is in one van: the job that had it gives it up once it is written down here.
    private async Task<string> GiveUp(string from, CancellationToken cancel)
    {
        for (var tries = 0; tries < 3; tries++)
        {
            if (await desk.OpenAsync(from, cancel) is not { } other || !GiveReels.Left(other.Analysis.Job).Any())
                return "";
            if (await desk.EditAsync(from, other.Stored.Stamp, new GiveReels(Job.Name), cancel) is "")
                return "";
        }

        return "The reels are written down here, and still in the other job as well: set them to 0 there.";
    }

    private async Task<(JobCommand? Edit, string Problem)> Brought(EditForm form, CancellationToken cancel)
    {
        if (await desk.OpenAsync(form.Text("from"), cancel) is not { Analysis.Job: var other })
            return (null, "Job: choose the one that has the room.");
        var on = Enum.TryParse<Side>(form.Text("on"), out var side) && Enum.IsDefined(side) ? side : Side.East;
        var beside = form.Text("beside") is { Length: > 0 } room ? room : null;
        return (
            new BringRoom(other, form.Text("room"), form.Text("name"), form.Text("storey"), beside, on, form.Text("mirrored").Length > 0),
            ""
        );
    }
}
