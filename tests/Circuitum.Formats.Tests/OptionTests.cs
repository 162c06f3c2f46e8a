using Circuitum.Core.Analysis;
using Circuitum.Core.Review;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Documents;
using Circuitum.Formats.Supply;

namespace Circuitum.Formats.Tests;

/// <summary>What the owner may put off, side by side.</summary>
public class OptionTests
{
    private static readonly PriceBook Book = new([PriceListCsv.Sample]);

    public static TheoryData<string> Demos => ["tamarack-row", "gull-cottage"];

    [Theory]
    [MemberData(nameof(Demos))]
    public void Everything_alone_on_its_circuit_can_be_put_off_and_nothing_is_without_a_price(string demo)
    {
        var a = PaperPagesTests.House(demo);
        var offered = OwnersOption.Offered(a);
        offered
            .Select(x => x.Id)
            .ShouldBe(
                a.Job.Appliances.Select(x => x.Id)
                    .Where(id =>
                        a.Circuits.Any(c =>
                            c.Boxes.Length > 0
                            && c.Boxes.Any(b => b.Appliance == id)
                            && c.Boxes.All(b => b.Appliance == id || b.Serves == id)
                        )
                    )
            );
        foreach (var x in offered)
        {
            var options = OwnersOption.Of(a, Book, [x.Id]);
            options.Length.ShouldBe(3, x.Id);
            options.ShouldAllBe(o => o.Estimate.Unpriced.Length == 0, x.Id);
            var (planned, conduit, without) = (options[0].Estimate, options[1].Estimate, options[2].Estimate);
            planned.Total.ShouldBe(Estimate.Of(a, Book).Total);
            without.Total.Cents.ShouldBeLessThan(planned.Total.Cents, x.Id);
            without.Total.Cents.ShouldBeLessThan(conduit.Total.Cents, x.Id);
            without.Hours.ShouldBeLessThan(planned.Hours, x.Id);
        }
    }

    [Fact]
    public void The_estimate_on_paper_tells_the_chosen_ones_and_no_others()
    {
        var a = PaperPagesTests.House("tamarack-row");
        var id = OwnersOption.Offered(a)[0].Id;
        string Text(params string[] options) =>
            string.Join('\n', Papers.Of(a, "estimate", 1, money: new PaperMoney(Book) { Options = [.. options] }).Words);
        Text(id).ShouldContain("only its conduit now");
        Text().ShouldNotContain("To choose from");
        Text("nothing", "<b>").ShouldNotContain("To choose from");
        OwnersOption.Of(a, Book, OwnersOption.Offered(a).Select(x => x.Id)).Length.ShouldBe(1 + (2 * OwnersOption.Most));
    }
}
