using System.Net;
using System.Text;
using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Storage;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;

namespace Circuitum.Web.Pages.Jobs;

// What comes from outside of the job: the firm's preferences, a room of another job.
public sealed partial class StageModel
{
    /// <summary>Jobs from which a room can be brought; looked up where that is offered.</summary>
    public IReadOnlyList<JobListing> OtherJobs { get; private set; } = [];

    /// <summary>The rooms of another job, as choices.</summary>
    public async Task<IActionResult> OnGetRoomsOfAsync(string? from, CancellationToken cancel)
    {
        if (string.IsNullOrEmpty(from) || await desk.OpenAsync(from, cancel) is not { Analysis.Job: var job })
            return Content("<option value=\"\">choose the job first</option>", "text/html");
        var choices = new StringBuilder();
        foreach (var room in job.Rooms)
            choices.Append($"<option value=\"{WebUtility.HtmlEncode(room.Id)}\">{WebUtility.HtmlEncode(room.Name)}</option>");
        return Content(choices.ToString(), "text/html", Encoding.UTF8);
    }

    // What the program itself makes an edit of, where no form holds all of it.
    private async Task<(JobCommand? Edit, string Problem)> ReadAsync(EditForm form, CancellationToken cancel) =>
        form.Word switch
        {
            "company-preferences" => (new SetPreferences((await desk.CompanyAsync(cancel)).Company.Preferences), ""),
            "bring-room" => await Brought(form, cancel),
            "take-picture" => await FromPicture(cancel),
            _ => form.Read(Job.Units),
        };

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
