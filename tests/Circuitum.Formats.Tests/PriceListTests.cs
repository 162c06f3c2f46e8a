using System.Globalization;
using System.Text;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Supply;
using Circuitum.Generated;
using NJsonSchema;

namespace Circuitum.Formats.Tests;

/// <summary>Price lists: what is taken, what is refused and why; and that the made-up one knows what houses need.</summary>
public sealed class PriceListTests
{
    private static PriceListReading Read(string text) => PriceListCsv.Read(Encoding.UTF8.GetBytes(text));

    [Fact]
    public void A_list_is_read_with_units_numbers_and_dates()
    {
        var reading = Read("Key,Text,Unit,Price,Number,Date\ncable.12-2,12-2,250 ft,141.50,A1,2026-10-01\ntie,handle tie,each,4,,\n");
        reading.Problem.ShouldBeEmpty();
        reading.Refused.ShouldBeEmpty();
        reading.Rows[0].ShouldBe(new PriceRow("cable.12-2", "12-2", ItemUnit.Feet, 250, 141.50m, "A1", new DateOnly(2026, 10, 1)));
        reading.Rows[0].Cost(500, ItemUnit.Feet).ShouldBe(283.00m);
        ((double)reading.Rows[0].Cost(152.4, ItemUnit.Metres)).ShouldBe(283.00, 1e-9);
        reading.Rows[1].Per.ShouldBe(1);
    }

    [Fact]
    public void A_price_by_the_metre_serves_a_house_in_feet_too()
    {
        var row = Read("Key,Text,Unit,Price,Number,Date\ncable.12-2,12-2,75 m,150,A1,\n").Rows.ShouldHaveSingleItem();
        row.ShouldBe(new PriceRow("cable.12-2", "12-2", ItemUnit.Metres, 75, 150m, "A1", null));
        row.Cost(75, ItemUnit.Metres).ShouldBe(150m);
        ((double)row.Cost(1000, ItemUnit.Feet)).ShouldBe(304.8 / 75 * 150, 1e-9);
    }

    [Theory]
    [InlineData("tie,t,each,\"4,20\",,", "price '4,20' has a comma: write it with a point, such as 12.50")]
    [InlineData("tie,t,,4,,", "it has no unit: write each, ft or m, or 250 ft")]
    [InlineData("tie,t,metre,4,,", "unit 'metre' is none: write each, ft or m, or 250 ft")]
    [InlineData("tie,t,0 ft,4,,", "unit '0 ft' is none: write each, ft or m, or 250 ft")]
    [InlineData("tie,=1+1,each,4,,", "text '=1+1' is a formula")]
    [InlineData("tie,t,each,=A1*2,,", "price '=A1*2' is a formula")]
    [InlineData("@tie,t,each,4,,", "key '@tie' is a formula")]
    [InlineData("tie,t,each,-4,,", "price -4 is less than nothing")]
    [InlineData("tie,t,each,4e9,,", "price '4e9' is no number")]
    [InlineData("tie,t,each,99999999,,", "price 99999999 is over 1,000,000")]
    [InlineData("tie,t,each,,,", "it has no price")]
    [InlineData(",t,each,4,,", "it has no key")]
    [InlineData("tie,t,each,4,,01.02.2026", "date '01.02.2026' is none: write 2026-11-29")]
    [InlineData("good,t,each,5,,", "'good' is in line 2 already")]
    public void A_row_that_is_not_in_order_is_refused_by_its_line_and_the_rest_waits(string row, string why)
    {
        var reading = Read($"key,text,unit,price,number,date\ngood,g,each,1,,\n{row}\nlast,l,each,2,,\n");
        reading.Refused.ShouldBe([(3, why)]);
        reading.Rows.Select(r => r.Key).ShouldBe(["good", "last"]);
    }

    [Theory]
    [InlineData("", "The list is empty.")]
    [InlineData("key,price\nx,1\n", "The first line has no column 'unit'.")]
    [InlineData("key,unit,price\n", "The list has no rows under its head.")]
    [InlineData("key,unit,price,currency\na,each,1,USD\nb,each,1,CAD\n", "The list mixes currencies: CAD, USD. One list has one.")]
    public void A_list_of_which_nothing_can_be_taken_says_so(string text, string problem)
    {
        var reading = Read(text);
        reading.Problem.ShouldBe(problem);
        reading.Rows.ShouldBeEmpty();
    }

    [Fact]
    public void Two_hundred_thousand_rows_and_what_is_no_text_are_refused_whole()
    {
        var many = new StringBuilder("key,unit,price\n");
        for (var i = 0; i < 200_000; i++)
            many.Append(CultureInfo.InvariantCulture, $"k{i},each,1\n");
        Read(many.ToString()).Problem.ShouldBe("The list has more than 50,000 rows. Leave out what houses do not need.");
        PriceListCsv.Read([0xFF, 0xFE, 0x80]).Problem.ShouldBe("The list is not plain text. Save it as CSV in UTF-8.");
        PriceListCsv.Read(new byte[9_000_000]).Problem.ShouldBe("The list has 9 MB; the most is 8 MB.");
    }

    [Fact]
    public void A_star_prices_what_begins_so_and_the_longest_and_the_own_key_win()
    {
        var item = new MaterialItem(CodeLibrary.Takeoff.Item("panel"), "panel.200.40.main", "panel");
        PriceRow Row(string key, decimal price, ItemUnit unit = ItemUnit.Each) => new(key, "", unit, 1, price, "", null);
        decimal? Price(params PriceRow[] rows) => new PriceList("n", "s", [.. rows]).Find(item)?.Price;
        Price(Row("panel.*", 1), Row("panel.200.*", 2)).ShouldBe(2);
        Price(Row("panel.*", 1), Row("panel.200.40.main", 3)).ShouldBe(3);
        Price(Row("pan.*", 1), Row("panel", 1)).ShouldBeNull();

        // A price by the foot is none for what is counted.
        Price(Row("panel.200.40.main", 3, ItemUnit.Feet)).ShouldBeNull();
    }

    [Fact]
    public void The_made_up_list_is_in_order_and_knows_all_that_houses_need()
    {
        Read(PriceListCsv.SampleText()).Refused.ShouldBeEmpty();
        var book = new PriceBook([PriceListCsv.Sample]);
        var unpriced = new SortedSet<string>(StringComparer.Ordinal);
        for (var seed = 0; seed < 30; seed++)
        {
            var a = HouseDeriver.Derive(Planner.PlanAll(GeneratedHouse.MakeWithShed(seed)));
            unpriced.UnionWith(Estimate.Of(a, book).Unpriced.Select(l => l.Line.Item.Key));
        }

        unpriced.ShouldBeEmpty();
    }

    [Fact]
    public async Task Orders_as_JSON_are_as_their_schema_says()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!Directory.Exists(Path.Combine(root!.FullName, "docs")))
            root = root.Parent;
        var schema = await JsonSchema.FromFileAsync(
            Path.Combine(root.FullName, "docs", "order-format", "order.schema.json"),
            CancellationToken.None
        );
        var a = PaperPagesTests.House("gull-cottage");
        var wanted = OrderFiles.Wanted(a, new([PriceListCsv.Sample]));
        using var orders = System.Text.Json.JsonDocument.Parse(wanted);
        orders.RootElement.GetArrayLength().ShouldBe(3);
        foreach (var order in orders.RootElement.EnumerateArray())
            schema.Validate(order.GetRawText()).ShouldBeEmpty();
        var first = SupplyJson.ReadOrder(orders.RootElement[1].GetRawText());
        first.Stage.ShouldBe(BuyStage.RoughIn);
        SupplyJson.Write(SupplyJson.ReadOrder(SupplyJson.Write(first))).ShouldBe(SupplyJson.Write(first));
        OrderFiles.Csv(first).Split('\n').Length.ShouldBe(first.Lines.Length + 2);
        OrderFiles.Xlsx(first).Length.ShouldBeGreaterThan(2000);
    }

    [Fact]
    public void A_supplier_answers_line_by_line_and_what_comes_is_counted()
    {
        var order = new Order
        {
            Lines =
            [
                new()
                {
                    Item = "a",
                    Quantity = 4,
                    Cost = 2,
                },
                new()
                {
                    Item = "b",
                    Quantity = 10,
                    Cost = 5,
                },
            ],
        };
        var confirmed = new CounterAnswer("R1", DateTime.UtcNow, [new("a", 2.5m, 9), new("b", null, 0)]).Confirm(order);
        confirmed.State.ShouldBe(OrderState.Confirmed);
        confirmed.Lines.Select(l => (l.Cost, l.BackOrdered)).ShouldBe([(2.5m, 4), (5m, 0)]);
        confirmed.Total.Exact.ShouldBe("$7.50");
        confirmed.Received("b", 4)!.State.ShouldBe(OrderState.PartReceived);
        confirmed.Received("b", 10)!.Received("a", 4)!.State.ShouldBe(OrderState.Received);
        confirmed.Received("b", 11).ShouldBeNull();
        confirmed.Received("c", 1).ShouldBeNull();
        confirmed.Received("b", double.NaN).ShouldBeNull();
    }
}
