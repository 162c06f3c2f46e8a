using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;
using Circuitum.Formats;
using Circuitum.Formats.Documents;
using Circuitum.Formats.Supply;
using Circuitum.Web.Supply;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Material;

/// <summary>The orders of a job: what each stage still needs, what was sent, what came.</summary>
public sealed class OrdersModel(JobDesk desk, SupplyDesk supply) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The job as stored.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>The orders, first one first.</summary>
    public IReadOnlyList<Order> Orders { get; private set; } = [];

    /// <summary>For each stage what is bought now against what was ordered.</summary>
    public ImmutableArray<(BuyStage Stage, ImmutableArray<OrderDifference> Lines)> Stages { get; private set; } = [];

    /// <summary>The prices.</summary>
    public PriceBook Prices { get; private set; } = PriceBook.Empty;

    /// <summary>Whose counter orders go to.</summary>
    public string Supplier => supply.Supplier;

    /// <summary>A sentence about what was not done.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>What a form carries so that one that is sent twice makes one order.</summary>
    public string Key { get; } = Guid.NewGuid().ToString("n");

    /// <summary>Shows them.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel) => await Load(cancel) ? Page() : NotFound();

    /// <summary>Orders what a stage still needs.</summary>
    public Task<IActionResult> OnPostPlaceAsync(string? stage, string? key, CancellationToken cancel) =>
        Do(
            async open =>
                MaterialWords.Stage(stage) is { } of
                    ? await supply.PlaceAsync(Id, open.Analysis, of, key ?? "", cancel)
                    : "Say for which stage.",
            cancel
        );

    /// <summary>Tries an order again that waits.</summary>
    public Task<IActionResult> OnPostSendAsync(int number, CancellationToken cancel) =>
        Do(
            async _ =>
            {
                await supply.SendAsync(Id, number, cancel);
                return "";
            },
            cancel
        );

    /// <summary>Takes an order back that waits.</summary>
    public Task<IActionResult> OnPostCancelAsync(int number, CancellationToken cancel) =>
        Do(_ => supply.CancelAsync(Id, number, cancel), cancel);

    /// <summary>Writes down what came of a line.</summary>
    public Task<IActionResult> OnPostReceiveAsync(int number, string? item, string? came, CancellationToken cancel) =>
        Do(
            _ =>
                double.TryParse(came, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var quantity)
                    ? supply.ReceiveAsync(Id, number, item ?? "", quantity, cancel)
                    : Task.FromResult("Came: type a number, such as 2."),
            cancel
        );

    /// <summary>Writes down that all of an order came, but what comes later.</summary>
    public Task<IActionResult> OnPostReceiveAllAsync(int number, CancellationToken cancel) =>
        Do(
            async _ =>
            {
                foreach (var line in (await supply.OrdersAsync(Id, cancel)).FirstOrDefault(o => o.Number == number)?.Lines ?? [])
                {
                    var wrong = await supply.ReceiveAsync(
                        Id,
                        number,
                        line.Item,
                        Math.Max(line.Came, line.Quantity - line.BackOrdered),
                        cancel
                    );
                    if (wrong.Length > 0)
                        return wrong;
                }

                return "";
            },
            cancel
        );

    /// <summary>An order as a file.</summary>
    public async Task<IActionResult> OnGetFileAsync(int number, string? form, CancellationToken cancel)
    {
        if (!await Load(cancel) || Orders.FirstOrDefault(o => o.Number == number) is not { } order)
            return NotFound();
        var (line, caution) = Formats.Documents.Papers.Foot(Open.Analysis, Open.Stored.Stamp, "");
        return form switch
        {
            "csv" => File(
                (byte[])[.. Encoding.UTF8.GetPreamble(), .. Encoding.UTF8.GetBytes(OrderFiles.Csv(order))],
                "text/csv",
                $"{Id}-order-{number}.csv"
            ),
            "xlsx" => File(
                OrderFiles.Xlsx(order),
                "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
                $"{Id}-order-{number}.xlsx"
            ),
            "json" => File(Encoding.UTF8.GetBytes(SupplyJson.WriteFile(order)), "application/json", $"{Id}-order-{number}.json"),
            "pdf" => File(OrderFiles.Pdf(order, PaperSize.Letter, $"{line}\n{caution}"), "application/pdf", $"{Id}-order-{number}.pdf"),
            _ => NotFound(),
        };
    }

    private async Task<IActionResult> Do(Func<OpenJob, Task<string>> work, CancellationToken cancel)
    {
        if (!await Load(cancel))
            return NotFound();
        Refusal = await work(Open);
        if (Refusal.Length == 0)
            return Redirect($"/jobs/{Id}/orders");
        await Load(cancel);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private async Task<bool> Load(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return false;
        (Open, Orders, Prices) = (job, await supply.OrdersAsync(Id, cancel), await supply.PricesAsync(cancel));
        var buys = Buying.Of(job.Analysis, HouseMaterial.Of(job.Analysis), held: false);
        Stages = [.. Enum.GetValues<BuyStage>().Select(s => (s, OrderDifference.Of(buys, Orders, s))).Where(s => s.Item2.Length > 0)];
        return true;
    }
}
