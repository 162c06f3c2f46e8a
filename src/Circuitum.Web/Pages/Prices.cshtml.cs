using Circuitum.Core.Takeoff;
using Circuitum.Formats.Supply;
using Circuitum.Web.Supply;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>The firm's price lists, and the supplier's counter.</summary>
public sealed class PricesModel(SupplyDesk supply, PriceTray tray, IServiceProvider services) : PageModel
{
    private const int Longest = 80;

    /// <summary>The firm's lists.</summary>
    public IReadOnlyList<(int Id, DateTime Taken, PriceList List)> Lists { get; private set; } = [];

    /// <summary>A list of which some rows are refused and that waits for a word.</summary>
    public (string Key, string Name, string Supplier, PriceListReading Reading)? Waiting { get; private set; }

    /// <summary>How the made-up counter behaves; none where orders go elsewhere.</summary>
    public (CounterMood Mood, System.Collections.Immutable.ImmutableSortedSet<string> Missing, int Orders)? Counter { get; private set; }

    /// <summary>A sentence about what was not done.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>Shows them.</summary>
    public Task OnGetAsync(string? waiting, CancellationToken cancel) => Load(waiting, cancel);

    /// <summary>The made-up list, as a pattern for one's own.</summary>
    public IActionResult OnGetSample() => File(System.Text.Encoding.UTF8.GetBytes(PriceListCsv.SampleText()), "text/csv", "prices.csv");

    /// <summary>Reads a list. Where every row is in order it is taken; else it waits for a word.</summary>
    public async Task<IActionResult> OnPostReadAsync(string? name, string? supplier, IFormFile? file, CancellationToken cancel)
    {
        var (list, whose) = ((name ?? "").Trim(), (supplier ?? "").Trim());
        if (list.Length is 0 or > Longest || whose.Length is 0 or > Longest || (list + whose).Any(char.IsControl))
            return await Refused($"Name and supplier: 1 to {Longest} characters each.", cancel);
        if (file is null || file.Length == 0)
            return await Refused("Choose the list's file first.", cancel);
        if (file.Length > PriceListCsv.MostBytes)
            return await Refused(
                $"The list has {file.Length / 1_000_000} MB; the most is {PriceListCsv.MostBytes / 1_000_000} MB.",
                cancel
            );
        using var bytes = new MemoryStream();
        await file.CopyToAsync(bytes, cancel);
        var reading = PriceListCsv.Read(bytes.ToArray());
        if (reading.Refused.Length > 0)
            return Redirect($"/prices?waiting={tray.Keep(list, whose, reading)}");
        if (reading.Problem.Length > 0)
            return await Refused(reading.Problem, cancel);
        return await Took(await supply.TakePricesAsync(new(list, whose, reading.Rows), cancel), cancel);
    }

    /// <summary>Takes the rows of a list that are in order, because a person says so.</summary>
    public async Task<IActionResult> OnPostTakeAsync(string? key, CancellationToken cancel) =>
        tray.Take(key ?? "") is { Rows.Length: > 0 } list
            ? await Took(await supply.TakePricesAsync(list, cancel), cancel)
            : await Refused("That list has gone. Read it again.", cancel);

    /// <summary>Takes a list away.</summary>
    public async Task<IActionResult> OnPostDropAsync(int id, CancellationToken cancel)
    {
        await supply.DropPricesAsync(id, cancel);
        return Redirect("/prices");
    }

    /// <summary>Tells the made-up counter how to behave.</summary>
    public async Task<IActionResult> OnPostCounterAsync(CounterMood mood, string? missing, CancellationToken cancel)
    {
        if (services.GetService(typeof(MadeUpCounter)) is not MadeUpCounter counter || !Enum.IsDefined(mood))
            return NotFound();
        await counter.BehaveAsync(
            mood,
            (missing ?? "").Split([' ', ',', '\n', '\r'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries),
            cancel
        );
        return Redirect("/prices");
    }

    private async Task<IActionResult> Took(string problem, CancellationToken cancel) =>
        problem.Length == 0 ? Redirect("/prices") : await Refused(problem, cancel);

    private async Task<IActionResult> Refused(string sentence, CancellationToken cancel)
    {
        Refusal = sentence;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        await Load(null, cancel);
        return Page();
    }

    private async Task Load(string? waiting, CancellationToken cancel)
    {
        Lists = await supply.PriceListsAsync(cancel);
        if (waiting is { } key && tray.Of(key) is { } found)
            Waiting = (key, found.Name, found.Supplier, found.Reading);
        if (services.GetService(typeof(MadeUpCounter)) is MadeUpCounter counter)
            Counter = await counter.StateAsync(cancel);
    }
}
