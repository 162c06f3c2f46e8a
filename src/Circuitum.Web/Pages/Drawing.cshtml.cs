using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Formats.Dxf;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>Choosing what the layers of a drawing hold, and the account of what was taken.</summary>
public sealed class DrawingModel(JobDesk desk, DrawingTray tray, Notes notes) : PageModel
{
    /// <summary>Units of a drawing, by inches in one.</summary>
    public static readonly (string Value, string Text)[] Units =
    [
        ("1", "an inch"),
        ("12", "a foot"),
        ("0.03937007874015748", "a millimetre"),
        ("0.3937007874015748", "a centimetre"),
        ("39.37007874015748", "a metre"),
    ];

    /// <summary>What a layer may hold.</summary>
    public static readonly string[] Uses = ["not used", "rooms", "walls", "doors", "windows"];

    /// <summary>The drawing.</summary>
    public WaitingDrawing Waiting { get; private set; } = null!;

    /// <summary>The layers with their guessed or chosen use.</summary>
    public IReadOnlyList<(string Name, int Count, string Use)> Layers { get; private set; } = [];

    /// <summary>The chosen unit.</summary>
    public string UnitsValue { get; private set; } = "1";

    /// <summary>What was taken.</summary>
    public IReadOnlyList<string> Report { get; private set; } = [];

    /// <summary>Why nothing was made.</summary>
    public string Problem { get; private set; } = "";

    /// <summary>Address of what was made.</summary>
    public string? Made { get; private set; }

    /// <summary>Shows the layers.</summary>
    public IActionResult OnGet(string key) => Load(key, null) ? Page() : Gone();

    /// <summary>Imports.</summary>
    public async Task<IActionResult> OnPostAsync(string key, string? name, CancellationToken cancel)
    {
        var form = await Request.ReadFormAsync(cancel);
        var uses = form["layer"].Zip(form["holds"], (l, h) => (Layer: l ?? "", Use: h ?? "")).ToLookup(x => x.Layer, x => x.Use);
        if (!Load(key, uses))
            return Gone();
        UnitsValue = Units.Any(u => u.Value == form["units"]) ? form["units"].ToString() : "";
        ImmutableHashSet<string> Of(string use) => [.. Layers.Where(l => l.Use == use).Select(l => l.Name)];
        var choice = new DxfChoice(
            Of("rooms"),
            Of("walls"),
            Of("doors"),
            Of("windows"),
            double.TryParse(UnitsValue, NumberStyles.Float, CultureInfo.InvariantCulture, out var inches) ? inches : 0
        );
        if (Waiting.Job is null)
            await Create(choice, name, cancel);
        else
            await Into(choice, Waiting.Job, Waiting.Storey ?? "", cancel);
        if (Problem.Length > 0)
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private async Task Create(DxfChoice choice, string? name, CancellationToken cancel)
    {
        var title = string.IsNullOrWhiteSpace(name) ? "Imported plan" : name.Trim();
        var job = new Job
        {
            Name = title.Length > 120 ? title[..120] : title,
            Storeys = [new Storey { Id = "first", Name = "First floor" }],
        };
        var import = DxfPlan.Import(Waiting.Drawing, choice, job, "first");
        (Report, Problem) = (import.Report, import.Problem);
        if (import.Job is not null)
            Made = $"/jobs/{await desk.CreateAsync(import.Job, "import drawing", null, cancel)}/rooms";
    }

    private async Task Into(DxfChoice choice, string id, string storey, CancellationToken cancel)
    {
        if (await desk.OpenAsync(id, cancel) is not { } open)
        {
            Problem = "That job is not there any more.";
            return;
        }

        var import = DxfPlan.Import(Waiting.Drawing, choice, open.Analysis.Job, storey);
        (Report, Problem) = (import.Report, import.Problem);
        if (import.Job is null)
            return;
        Problem = await desk.EditAsync(id, open.Stored.Stamp, new TakeDrawing(import.Job), cancel);
        if (Problem.Length == 0)
            Made = $"/jobs/{id}/rooms?storey={Uri.EscapeDataString(storey)}";
    }

    private bool Load(string key, ILookup<string, string>? chosen)
    {
        if (tray.Of(key) is not { } waiting)
            return false;
        Waiting = waiting;
        var guess = DxfChoice.Guess(waiting.Drawing);
        UnitsValue = Units.MinBy(u => Math.Abs(double.Parse(u.Value, CultureInfo.InvariantCulture) - guess.InchesPerUnit)).Value;
        Layers =
        [
            .. waiting
                .Drawing.Layers.Take(400)
                .Select(l => (l.Layer, l.Count, chosen?[l.Layer].FirstOrDefault(Uses.Contains) ?? Guessed(guess, l.Layer))),
        ];
        return true;
    }

    private static string Guessed(DxfChoice guess, string layer) =>
        guess.Rooms.Contains(layer) ? "rooms"
        : guess.Walls.Contains(layer) ? "walls"
        : guess.Doors.Contains(layer) ? "doors"
        : guess.Windows.Contains(layer) ? "windows"
        : Uses[0];

    private RedirectResult Gone() => Redirect("/?note=" + notes.Keep("The drawing is not held any more. Choose the file again."));
}
