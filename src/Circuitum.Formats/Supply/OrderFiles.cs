using System.Collections.Immutable;
using System.Data;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Documents;
using Circuitum.Formats.Pdf;

namespace Circuitum.Formats.Supply;

/// <summary>An order as CSV, workbook, JSON and PDF.</summary>
public static class OrderFiles
{
    private static readonly string[] Head =
    [
        "Item",
        "Supplier's number",
        "What",
        "Quantity",
        "Unit",
        "As sold",
        "Back-ordered",
        "Came",
        "Price",
    ];

    /// <summary>What a house needs and nobody has ordered yet, as orders in one JSON list, a stage an order.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="book">The prices.</param>
    public static string Wanted(JobAnalysis a, PriceBook book)
    {
        var lines = Buying.Of(a, HouseMaterial.Of(a), held: false);
        var orders = Enum.GetValues<BuyStage>()
            .Select(stage => new Order
            {
                Job = a.Job.Name,
                Stage = stage,
                Lines = Lines(lines, [], stage, book),
            })
            .Where(o => o.Lines.Length > 0);
        return $"[{string.Join(",\n", orders.Select(SupplyJson.WriteFile))}]\n";
    }

    /// <summary>The lines of an order for what a stage needs and is not ordered yet.</summary>
    /// <param name="lines">What is bought.</param>
    /// <param name="orders">The orders of the job.</param>
    /// <param name="stage">The stage.</param>
    /// <param name="book">The prices.</param>
    public static ImmutableArray<OrderLine> Lines(
        ImmutableArray<BuyLine> lines,
        IReadOnlyList<Order> orders,
        BuyStage stage,
        PriceBook book
    ) =>
        [
            .. OrderDifference
                .Of(lines, orders, stage)
                .Where(d => d.ToAdd > 0 && d.Line is not null)
                .Select(d =>
                {
                    var (item, price) = (d.Line!.Line.Item, book.Find(d.Line.Line.Item));
                    return new OrderLine
                    {
                        Item = item.Key,
                        Text = item.Text,
                        Unit = item.Type.Unit,
                        Quantity = d.ToAdd,
                        Words = d.Ordered > 0 ? MaterialLine.Say(item.Type, d.ToAdd) : d.Line.Words,
                        Number = price?.Row.Number ?? "",
                        Cost = price?.Row.Cost(d.ToAdd, item.Type.Unit),
                    };
                }),
        ];

    /// <summary>An order as CSV, each cell safe to open.</summary>
    public static string Csv(Order order) =>
        ScheduleCsv.Lines(
            Rows(order).Select(r => r.Select(c => Convert.ToString(c, CultureInfo.InvariantCulture) ?? "").ToArray()).Prepend(Head)
        );

    /// <summary>An order as a workbook.</summary>
    public static byte[] Xlsx(Order order)
    {
        var sheets = new DataSet();
        ListsXlsx.Sheet(sheets, Title(order), Head, Rows(order));
        return ListsXlsx.Bytes(sheets);
    }

    /// <summary>An order as PDF.</summary>
    /// <param name="order">The order.</param>
    /// <param name="size">Of its pages.</param>
    /// <param name="foot">What stands at the foot of each page.</param>
    public static byte[] Pdf(Order order, PaperSize size, string foot)
    {
        var s = new PaperDraft();
        s.Part(Title(order));
        s.Text(
            $"{order.Job}. To {order.Supplier}, {order.Made.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}."
                + (order.Receipt.Length > 0 ? $" Receipt {order.Receipt}." : "")
                + (
                    order.PickUp is { } day
                        ? $" Pick up from {day.ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture)} on."
                        : " Not confirmed yet."
                )
        );
        s.Table(
            [new("No.", 9), new("What", 40), new("Quantity", 16), new("Later", 8, true), new("Price", 10, true), new("Came", 9)],
            order
                .Lines.Select(l =>
                    PaperRow.Of(
                        l.Number,
                        l.Text,
                        l.Words,
                        l.BackOrdered > 0 ? l.BackOrdered.ToString("#,0", CultureInfo.InvariantCulture) : "",
                        l.Cost is { } cost ? Core.Measure.Money.Dollars(cost).Exact : "?",
                        l.Came > 0 ? l.Came.ToString("#,0", CultureInfo.InvariantCulture) : ""
                    )
                )
                .Append(PaperRow.Of("", "In all, as far as priced", "", "", order.Total.Exact, "") with { Sum = true })
        );
        return PaperLayout.Pdf(new Paper($"{Title(order)}, {order.Job}", s.Done()), size, foot);
    }

    private static string Title(Order order) =>
        string.Create(CultureInfo.InvariantCulture, $"Order {order.Number}, {MaterialWords.Stage(order.Stage)}");

    private static IEnumerable<object?[]> Rows(Order order) =>
        order.Lines.Select(l =>
            new object?[]
            {
                l.Item,
                l.Number,
                l.Text,
                l.Quantity,
                MaterialWords.Unit(l.Unit),
                l.Words,
                l.BackOrdered > 0 ? l.BackOrdered : null,
                l.Came > 0 ? l.Came : null,
                l.Cost is { } cost ? (double)Math.Round(cost, 2, MidpointRounding.AwayFromZero) : null,
            }
        );
}
