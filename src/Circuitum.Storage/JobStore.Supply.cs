using Circuitum.Core.Takeoff;
using Circuitum.Formats.Supply;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <content>Price lists and orders.</content>
public sealed partial class JobStore
{
    /// <summary>Most price lists of a firm.</summary>
    public const int MostPriceLists = 20;

    /// <summary>Most orders of a job.</summary>
    public const int MostOrders = 200;

    /// <summary>The firm's price lists with their numbers, the last one first.</summary>
    public async Task<IReadOnlyList<(int Id, DateTime Taken, PriceList List)>> PriceListsAsync(CancellationToken cancel = default) =>
        [
            .. (await db.PriceLists.AsNoTracking().OrderByDescending(l => l.Id).ToListAsync(cancel).ConfigureAwait(false)).Select(l =>
                (l.Id, l.Taken, new PriceList(l.Name, l.Supplier, SupplyJson.ReadPrices(l.Document)))
            ),
        ];

    /// <summary>Adds a price list; one of the same name and supplier takes the place of the one before.</summary>
    /// <returns>Whether it is kept: not when there are too many.</returns>
    public async Task<bool> AddPriceListAsync(PriceList list, CancellationToken cancel = default)
    {
        var before = await db
            .PriceLists.Where(l => l.Name == list.Name && l.Supplier == list.Supplier)
            .ToListAsync(cancel)
            .ConfigureAwait(false);
        if (await db.PriceLists.CountAsync(cancel).ConfigureAwait(false) - before.Count >= MostPriceLists)
            return false;
        db.PriceLists.RemoveRange(before);
        db.PriceLists.Add(
            new PriceListRow
            {
                Name = list.Name,
                Supplier = list.Supplier,
                Document = SupplyJson.Write(list.Rows),
                Taken = DateTime.UtcNow,
            }
        );
        return await SavedAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>Takes a price list away.</summary>
    public Task DropPriceListAsync(int id, CancellationToken cancel = default) =>
        Written(() => db.PriceLists.Where(l => l.Id == id).ExecuteDeleteAsync(cancel));

    /// <summary>The orders of a job, first one first.</summary>
    public async Task<IReadOnlyList<Order>> OrdersAsync(string id, CancellationToken cancel = default) =>
        [
            .. (
                await db.Orders.AsNoTracking().Where(o => o.JobId == id).OrderBy(o => o.Number).ToListAsync(cancel).ConfigureAwait(false)
            ).Select(o => SupplyJson.ReadOrder(o.Document)),
        ];

    /// <summary>Orders of all jobs that wait to be sent.</summary>
    public async Task<IReadOnlyList<(string Job, Order Order)>> WaitingOrdersAsync(CancellationToken cancel = default) =>
        [
            .. (
                await db.Orders.AsNoTracking().Where(o => o.Waiting).OrderBy(o => o.Key).Take(50).ToListAsync(cancel).ConfigureAwait(false)
            ).Select(o => (o.JobId, SupplyJson.ReadOrder(o.Document))),
        ];

    /// <summary>Adds an order to a job; one with the same key is there already and stays as it is.</summary>
    /// <returns>The order with its number; none when the job is gone or has too many.</returns>
    public async Task<Order?> AddOrderAsync(string id, Order order, CancellationToken cancel = default)
    {
        if (await db.Orders.AsNoTracking().FirstOrDefaultAsync(o => o.Key == order.Key, cancel).ConfigureAwait(false) is { } known)
            return SupplyJson.ReadOrder(known.Document);
        if (!await db.Jobs.AnyAsync(j => j.Id == id, cancel).ConfigureAwait(false))
            return null;
        var last = await db.Orders.Where(o => o.JobId == id).MaxAsync(o => (int?)o.Number, cancel).ConfigureAwait(false) ?? 0;
        if (last >= MostOrders)
            return null;
        var numbered = order with { Number = last + 1 };
        db.Orders.Add(
            new OrderRow
            {
                JobId = id,
                Number = numbered.Number,
                Key = numbered.Key,
                Waiting = numbered.State == OrderState.Waiting,
                Document = SupplyJson.Write(numbered),
            }
        );
        return await SavedAsync(cancel).ConfigureAwait(false) ? numbered : null;
    }

    /// <summary>Changes an order.</summary>
    /// <param name="id">The job.</param>
    /// <param name="number">The order.</param>
    /// <param name="change">Gives the order as it is to be, or none to leave it.</param>
    /// <param name="cancel">Gives up.</param>
    /// <returns>Whether it was changed: not when it is gone, is left, or someone else changed it in the same moment.</returns>
    public async Task<bool> ChangeOrderAsync(string id, int number, Func<Order, Order?> change, CancellationToken cancel = default)
    {
        if (await db.Orders.FirstOrDefaultAsync(o => o.JobId == id && o.Number == number, cancel).ConfigureAwait(false) is not { } row)
            return false;
        if (change(SupplyJson.ReadOrder(row.Document)) is not { } order)
            return false;
        (row.Document, row.Waiting, row.Change) = (SupplyJson.Write(order), order.State == OrderState.Waiting, row.Change + 1);
        return await SavedAsync(cancel).ConfigureAwait(false);
    }
}
