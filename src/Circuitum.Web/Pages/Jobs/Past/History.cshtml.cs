using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Storage;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Past;

/// <summary>The states that a job was in: what was done, by whom, when; two compared; one returned to.</summary>
public sealed class HistoryModel(JobDesk desk) : PageModel
{
    private const int OnPage = 60;

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>Only states before this one; 0 for the last ones.</summary>
    [BindProperty(SupportsGet = true)]
    public int Before { get; set; }

    /// <summary>The earlier state of a comparison, or none.</summary>
    [BindProperty(SupportsGet = true)]
    public int? From { get; set; }

    /// <summary>The later state of a comparison; none for the present one.</summary>
    [BindProperty(SupportsGet = true)]
    public int? To { get; set; }

    /// <summary>The job as stored.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>The states of this page, the last one first.</summary>
    public IReadOnlyList<RevisionListing> States { get; private set; } = [];

    /// <summary>The state that the job stands at.</summary>
    public int Head { get; private set; }

    /// <summary>Where the list goes on, or 0.</summary>
    public int Earlier { get; private set; }

    /// <summary>The later house of the comparison.</summary>
    public JobAnalysis? Later { get; private set; }

    /// <summary>What has changed between the two.</summary>
    public ChangesSince? Changes { get; private set; }

    /// <summary>A sentence about what was not done.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>Shows the states.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Returns to a state.</summary>
    public async Task<IActionResult> OnPostReturnAsync(int stamp, int number, CancellationToken cancel) =>
        await Answer(await desk.ReturnAsync(Id, stamp, number, cancel), cancel);

    /// <summary>Names a state.</summary>
    public async Task<IActionResult> OnPostNameAsync(int number, string? name, CancellationToken cancel) =>
        await Answer(await desk.NameStateAsync(Id, number, name ?? "", cancel), cancel);

    /// <summary>Whether a state lies on the way to the present one; the others were undone and not gone on with.</summary>
    public bool LeadsHere(RevisionListing state) => way.Contains(state.Number);

    /// <summary>Whether it was undone or done again, by whom and when; empty where it never was.</summary>
    public string Step(RevisionListing state)
    {
        var what =
            !LeadsHere(state) ? "undone"
            : state.Stepped is not null ? "done again"
            : "";
        var by = state.SteppedBy.Length > 0 ? $" by {state.SteppedBy}" : "";
        var at = state.Stepped?.ToLocalTime().ToString(", ddd d MMM, HH:mm", CultureInfo.InvariantCulture);
        return what.Length == 0 ? "" : $"{what}{by}{at}";
    }

    /// <summary>The state from which the present one was made, or 0.</summary>
    public int Previous => States.FirstOrDefault(s => s.Number == Head)?.Parent ?? 0;

    private readonly HashSet<int> way = [];

    private async Task<IActionResult> Answer(string refusal, CancellationToken cancel)
    {
        if (refusal.Length == 0)
            return Redirect($"/jobs/{Id}/history");
        Refusal = refusal;
        return await Load(cancel) ? Page() : NotFound();
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return false;
        Open = job;
        (States, Head) = await desk.HistoryAsync(Id, Math.Max(0, Before), OnPage + 1, cancel);
        if (States.Count > OnPage)
        {
            States = [.. States.Take(OnPage)];
            Earlier = States[^1].Number;
        }

        // Before the first page only the numbers tell: what lies before the present state is taken to be on its way.
        var parents = States.ToDictionary(s => s.Number, s => s.Parent);
        for (var at = Head; at > 0 && parents.TryGetValue(at, out var before); at = before)
            way.Add(at);
        if (way.Count == 0)
            way.UnionWith(States.Select(s => s.Number));
        await Compare(cancel);
        return true;
    }

    private async Task Compare(CancellationToken cancel)
    {
        if (From is not { } from)
            return;
        var to = To ?? Head;
        if (from > to)
            (from, to) = (to, from);
        (From, To) = (from, to);
        if (await desk.StateAsync(Id, from, cancel) is { } before && await desk.StateAsync(Id, to, cancel) is { } later)
            (Later, Changes) = (later, ChangesSince.Of(before, later));
        else
            Refusal = $"State {from} or {to} is not there any more, or cannot be read.";
    }
}
