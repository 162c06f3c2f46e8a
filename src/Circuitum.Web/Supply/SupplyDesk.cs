using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Supply;
using Circuitum.Storage;

namespace Circuitum.Web.Supply;

/// <summary>What the pages ask about prices and orders.</summary>
public sealed class SupplyDesk(string directory, ISupplierCounter counter, ILogger<SupplyDesk> log) : IDisposable
{
    private readonly SemaphoreSlim sending = new(1);

    /// <summary>Whose counter orders go to.</summary>
    public string Supplier => counter.Supplier;

    /// <summary>The prices: the firm's lists, the last one first, then the made-up one.</summary>
    public async Task<PriceBook> PricesAsync(CancellationToken cancel) =>
        new([.. (await PriceListsAsync(cancel)).Select(l => l.List), PriceListCsv.Sample]);

    /// <summary>The firm's lists, the last one first.</summary>
    public async Task<IReadOnlyList<(int Id, DateTime Taken, PriceList List)>> PriceListsAsync(CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await store.PriceListsAsync(cancel);
    }

    /// <summary>Takes a list. Gives a sentence when it was not taken.</summary>
    public async Task<string> TakePricesAsync(PriceList list, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await store.AddPriceListAsync(list, cancel)
            ? ""
            : string.Create(CultureInfo.InvariantCulture, $"There are {JobStore.MostPriceLists} price lists already. Take one away first.");
    }

    /// <summary>Takes a list away.</summary>
    public async Task DropPricesAsync(int id, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        await store.DropPriceListAsync(id, cancel);
    }

    /// <summary>The orders of a job.</summary>
    public async Task<IReadOnlyList<Order>> OrdersAsync(string id, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await store.OrdersAsync(id, cancel);
    }

    /// <summary>Orders what a stage still needs. The order is kept before it is sent. Gives a sentence when there is none.</summary>
    /// <param name="id">The job.</param>
    /// <param name="a">The house.</param>
    /// <param name="stage">The stage.</param>
    /// <param name="key">What the form carries, so that one that is sent twice makes one order.</param>
    /// <param name="cancel">Gives up.</param>
    public async Task<string> PlaceAsync(string id, JobAnalysis a, BuyStage stage, string key, CancellationToken cancel)
    {
        if (key.Length != 32 || !key.All(char.IsAsciiHexDigitLower))
            return "The form is from another time. Load the page again.";
        var book = await PricesAsync(cancel);
        var wanted = OrderFiles.Lines(Buying.Of(a, HouseMaterial.Of(a), held: false), await OrdersAsync(id, cancel), stage, book);
        await using var store = JobStore.Connect(directory);
        if (wanted.Length == 0)
            return (await store.OrdersAsync(id, cancel)).Any(o => o.Key == key) ? "" : "There is nothing left to order for this stage.";
        var order = await store.AddOrderAsync(
            id,
            new Order
            {
                Key = key,
                Job = a.Job.Name,
                Stage = stage,
                Supplier = counter.Supplier,
                Made = DateTime.UtcNow,
                Lines = wanted,
            },
            cancel
        );
        if (order is null)
            return string.Create(CultureInfo.InvariantCulture, $"The order is not kept: the job is gone, or it has {JobStore.MostOrders}.");
        await SendAsync(id, order.Number, cancel);
        return "";
    }

    /// <summary>Sends an order that waits, once more if need be. Where the counter does not answer it goes on waiting.</summary>
    public async Task SendAsync(string id, int number, CancellationToken cancel)
    {
        await sending.WaitAsync(cancel);
        try
        {
            await using var store = JobStore.Connect(directory);
            if ((await store.OrdersAsync(id, cancel)).FirstOrDefault(o => o.Number == number) is not { State: OrderState.Waiting } order)
                return;
            try
            {
                using var limit = CancellationTokenSource.CreateLinkedTokenSource(cancel);
                limit.CancelAfter(TimeSpan.FromSeconds(10));
                var answer = await counter.AnswerAsync(order, limit.Token);
                await store.ChangeOrderAsync(id, number, o => o.State == OrderState.Waiting ? answer.Confirm(Tried(o, "")) : null, cancel);
            }
            catch (Exception e) when (e is CounterException || (e is OperationCanceledException && !cancel.IsCancellationRequested))
            {
                var said = e is CounterException ? e.Message : "The counter did not answer in time.";
                await store.ChangeOrderAsync(id, number, o => o.State == OrderState.Waiting ? Tried(o, said) : null, cancel);
                log.LogWarning("Order {Number} of {Job} is not sent: {Said}", number, id, said);
            }
        }
        finally
        {
            sending.Release();
        }
    }

    private static Order Tried(Order order, string said) => order with { Tries = order.Tries + 1, Said = said };

    /// <summary>Tries all orders again that wait.</summary>
    public async Task SendWaitingAsync(CancellationToken cancel)
    {
        IReadOnlyList<(string Job, Order Order)> waiting;
        await using (var store = JobStore.Connect(directory))
            waiting = await store.WaitingOrdersAsync(cancel);
        foreach (var (job, order) in waiting)
            await SendAsync(job, order.Number, cancel);
    }

    /// <summary>Writes down what came of a line. Gives a sentence when it cannot be.</summary>
    public async Task<string> ReceiveAsync(string id, int number, string item, double came, CancellationToken cancel)
    {
        await using var store = JobStore.Connect(directory);
        return await store.ChangeOrderAsync(
            id,
            number,
            o => o.State is OrderState.Confirmed or OrderState.PartReceived or OrderState.Received ? o.Received(item, came) : null,
            cancel
        )
            ? ""
            : "That cannot be: more than was ordered, or the supplier has not confirmed the order.";
    }

    /// <summary>Takes an order back that waits. Gives a sentence when it is too late.</summary>
    public async Task<string> CancelAsync(string id, int number, CancellationToken cancel)
    {
        await sending.WaitAsync(cancel);
        try
        {
            // What was tried may have come to the supplier, answer or not.
            await using var store = JobStore.Connect(directory);
            return await store.ChangeOrderAsync(
                id,
                number,
                o => o is { State: OrderState.Waiting } ? o with { State = OrderState.Cancelled, Said = Taken(o) } : null,
                cancel
            )
                ? ""
                : "The supplier has it already. Call the counter.";
        }
        finally
        {
            sending.Release();
        }
    }

    private static string Taken(Order order) =>
        order.Tries > 0 ? "Taken back. It was tried to send: call the counter to make sure that it has no such order." : "Taken back.";

    /// <inheritdoc/>
    public void Dispose() => sending.Dispose();
}
