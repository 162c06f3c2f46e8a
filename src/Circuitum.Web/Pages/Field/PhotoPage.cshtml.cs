using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;
using Circuitum.Storage;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>One picture, with a scale by two marks of a tape, beside the wall as it is planned.</summary>
[Authorize(Roles.Crew)]
public sealed class PhotoModel(FieldDesk desk, PhotoDesk photos) : PageModel
{
    private static readonly Length Farthest = Length.Feet(100);

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The picture's number.</summary>
    [BindProperty(SupportsGet = true)]
    public int Number { get; set; }

    /// <summary>The work.</summary>
    public FieldJob Field { get; private set; } = null!;

    /// <summary>The picture.</summary>
    public PhotoRow Photo { get; private set; } = null!;

    /// <summary>Why something was not done.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>What it shows.</summary>
    public string Title =>
        Field.Task(Photo.Task) is { } task ? $"{Field.Job.Analysis.Job.RoomById(task.Room)?.Name}, {task.Title}" : $"Picture {Number}";

    /// <summary>Where it belongs.</summary>
    public string Back =>
        Field.Task(Photo.Task) is { } task ? $"/jobs/{Id}/field/{Uri.EscapeDataString(task.Room)}?work=Photograph" : $"/jobs/{Id}/field";

    /// <summary>The wall as a drawing, or none.</summary>
    public string? Wall
    {
        get
        {
            var a = Field.Job.Analysis;
            return Field.Task(Photo.Task) is { Wall: { } wall, Room: var room }
                ? SvgWriter.Text(
                    StripComposer.Compose(a, a.House[room], wall, new() { Cables = WallCables.Of(a, a.House[room], wall), Wide = 360 })
                )
                : null;
        }
    }

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Whether its job is measured in metres.</summary>
    public bool IsMetric => Units == LengthUnits.Metric;

    private LengthUnits Units => Field.Job.Analysis.Units;

    /// <summary>Sets the scale: so many pixels are so far apart.</summary>
    public async Task<IActionResult> OnPostAsync(string? pixels, string? apart, string? off, CancellationToken cancel)
    {
        if (!await Load(cancel))
            return NotFound();
        if (off == "yes")
            await photos.ScaleAsync(Id, Number, null, cancel);
        else if (
            !double.TryParse(pixels, NumberStyles.Float, CultureInfo.InvariantCulture, out var many) || many is not (>= 5 and <= 10_000)
        )
            Refusal = "Touch two marks of the tape in the picture first, farther apart.";
        else if (!LengthText.TryParse(apart, Units, out var length, out var problem))
            Refusal = $"Apart: {problem}";
        else if (length <= Length.Zero || length > Farthest)
            Refusal = $"Apart: more than nothing, {LengthText.Far(Farthest, Units)} at most.";
        else
            await photos.ScaleAsync(Id, Number, length.InInches / many, cancel);
        return Refusal.Length == 0 ? Redirect($"/jobs/{Id}/photos/{Number}") : Page();
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (
            await desk.OpenAsync(Id, cancel) is not { } field
            || (await photos.ListAsync(Id, cancel)).FirstOrDefault(p => p.Number == Number) is not { } photo
        )
            return false;
        (Field, Photo) = (field, photo);
        return true;
    }
}
