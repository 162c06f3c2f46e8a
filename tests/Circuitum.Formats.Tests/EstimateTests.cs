using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Documents;
using Circuitum.Formats.Supply;

namespace Circuitum.Formats.Tests;

/// <summary>What is bought, what it takes and what it costs, worked out a second way.</summary>
public sealed class EstimateTests
{
    private static readonly PriceBook Book = new([PriceListCsv.Sample]);
    private static readonly JobAnalysis Cottage = PaperPagesTests.House("gull-cottage");

    private static JobAnalysis With(Func<Preferences, Preferences> change) =>
        HouseDeriver.Derive(Cottage.Job with { Preferences = change(Cottage.Job.Preferences) });

    [Fact]
    public void The_total_is_the_sum_of_every_piece_at_its_price_and_every_task_at_its_minutes()
    {
        var a = With(p =>
            p with
            {
                TaxPercent = 8.25m,
                PermitFee = 315.50m,
                MarkUpPercent = 17.5m,
                ContingencyPercent = 4,
                HourRate = 91.25m,
            }
        );
        var m = HouseMaterial.Of(a);
        var cost = 0m;
        foreach (var piece in m.Pieces)
        {
            if (Book.Find(piece.Item)?.Row is not { } row)
                continue;
            var waste = piece.Item.Type.Unit == ItemUnit.Feet ? 1.1m : 1m;
            cost += (decimal)piece.Quantity * waste / row.Per * row.Price;
        }

        cost *= 1.175m;
        var work = (decimal)(m.Labour.Sum(l => l.Times * l.Task.Minutes) / 60) * 91.25m;
        var e = Estimate.Of(a, Book);
        Near(e.Material, cost);
        Near(e.Tax, cost * 0.0825m);
        Near(e.Labour, work);
        e.Permits.Exact.ShouldBe("$315.50");
        Near(e.Contingency, (cost + work) * 0.04m);
        e.Total.Cents.ShouldBe(e.Material.Cents + e.Tax.Cents + e.Labour.Cents + e.Permits.Cents + e.Contingency.Cents);

        // Quantities are summed in another order here: a cent at most.
        static void Near(Money money, decimal dollars) => Math.Abs((money.Cents / 100m) - dollars).ShouldBeLessThan(0.0101m);
    }

    [Fact]
    public void Hours_by_task_stage_and_room_are_the_same_hours_and_ones_own_minutes_count()
    {
        var m = HouseMaterial.Of(Cottage);
        var plan = LabourPlan.Of(Cottage.Job, m);
        plan.ByTask.Sum(t => t.Hours).ShouldBe(plan.Hours, 1e-9);
        plan.ByStage.Sum(t => t.Hours).ShouldBe(plan.Hours, 1e-9);
        plan.ByRoom.Sum(t => t.Hours).ShouldBe(plan.Hours, 1e-9);
        var boxes = m.Pieces.Where(p => p.Item.Type.Id == "box").Sum(p => p.Amount);
        var slower = new SetMinutes("set-box", 10).Apply(Cottage.Job).Job!;
        (LabourPlan.Of(slower, m).Hours - plan.Hours).ShouldBe(boxes * 6 / 60.0, 1e-9);

        // A stage that took half as long again teaches that of every figure of it.
        var rough = plan.ByStage.First(s => s.Stage == BuyStage.RoughIn).Hours;
        var took = new SetTook(BuyStage.RoughIn, rough * 1.5).Apply(Cottage.Job).Job!;
        var learnt = new LearnMinutes(BuyStage.RoughIn).Apply(took).Job!;
        LabourPlan.Of(learnt, m).ByStage.First(s => s.Stage == BuyStage.RoughIn).Hours.ShouldBe(rough * 1.5, rough * 0.02);
        new LearnMinutes(BuyStage.Trim).Apply(took).Problem.ShouldBe("Nobody has said yet what that stage took.");
    }

    [Fact]
    public void The_shelf_is_used_up_and_what_is_left_is_bought_in_whole_packs()
    {
        var needed = HouseMaterial.Of(Cottage).Lines.First(l => l.Item.Key == "staple").Quantity;
        var job = new KeepShelf("staple", 100).Apply(Cottage.Job).Job!;
        var a = HouseDeriver.Derive(job);
        var line = Buying.Of(a, HouseMaterial.Of(a), held: false).First(b => b.Line.Item.Key == "staple");
        line.Shelf.ShouldBe(100);
        line.Quantity.ShouldBe(Math.Ceiling((needed - 100) / 250) * 250);
        line.Words.ShouldBe($"{line.Quantity / 250:0} {(line.Quantity > 250 ? "boxes" : "box")} of 250");
        var none = Buying.Of(Cottage, HouseMaterial.Of(Cottage), held: false);
        none.Where(b => b.Line.Held >= b.Line.Quantity).ShouldAllBe(b => b.Quantity == 0);
        none.ShouldContain(b => b.Line.Held > 0);
    }

    [Fact]
    public void What_is_not_confirmed_or_waits_is_held_back_with_its_reason()
    {
        var job = Cottage.Job with
        {
            Appliances = [.. Cottage.Job.Appliances.Select(x => x with { Nameplate = x.Nameplate with { Confirmed = false } })],
        };
        var waits = job.Decisions.Boxes.First(b => b.Fixture == LightStyle.Vanity).Id;
        job = new HoldBox(waits, new HeldFor { WaitsFor = "the mirror" }).Apply(job).Job!;
        var m = HouseMaterial.Of(HouseDeriver.Derive(job));
        m.Lines.First(l => l.Item.Key == "receptacle.50.two-pole.four").Reasons.ShouldHaveSingleItem().ShouldContain("nameplate of");
        m.Lines.First(l => l.Item.Key.StartsWith("breaker.50.2-pole", StringComparison.Ordinal)).Held.ShouldBe(1);

        // What is held is not bought, cable too.
        var a = HouseDeriver.Derive(job);
        Buying.Of(a, m, held: false).First(b => b.Line.Item.Key == "cable.6-3").Quantity.ShouldBe(0);
        Buying.Of(a, m, held: true).First(b => b.Line.Item.Key == "cable.6-3").Quantity.ShouldBeGreaterThan(0);
        m.Pieces.Count(p => p.From == Subject.Box(waits)).ShouldBeGreaterThan(3);
        m.Pieces.Where(p => p.From == Subject.Box(waits)).ShouldAllBe(p => p.Place.Held.Contains("the mirror"));
    }

    [Fact]
    public void A_change_order_of_nothing_is_nothing_and_names_what_changed()
    {
        string Words(JobAnalysis before, JobAnalysis after) =>
            string.Join('\n', Papers.Of(after, "change-order", 3, money: new PaperMoney(Book) { Before = before, Since = "set 1" }).Words);
        Words(Cottage, Cottage).ShouldContain("Nothing.");
        var without = HouseDeriver.Derive(new RemoveBox("living.r1").Apply(Cottage.Job).Job!);
        var words = Words(Cottage, without);
        words.ShouldContain("duplex receptacle, 15 A, tamper-resistant");
        words.ShouldContain("Box living.r1: gone.");
        words.ShouldNotContain("as the planner weighs");
        var cost = ChoiceCost.Of(Cottage, without, Book);
        cost.Total.Cents.ShouldBeLessThan(0);
        cost.Hours.ShouldBeLessThan(0);
        ChoiceCost.Of(without, Cottage, Book).Total.Cents.ShouldBe(-cost.Total.Cents);
    }

    [Fact]
    public void Five_measured_pulls_offer_what_the_next_house_should_assume()
    {
        var runs = Cottage.Circuits.Where(c => !c.Carried && c.Run.First is not null).Take(5).ToList();
        var job = Cottage.Job;
        foreach (var c in runs.Take(4))
            job = Pull(job, c);
        CableUsed.Of(HouseDeriver.Derive(job)).Suggested.ShouldBeNull();
        CableUsed.Of(HouseDeriver.Derive(Pull(job, runs[4]))).Suggested.ShouldBe(20);
        new AssumeWaste(20).Apply(job).Job!.Preferences.WastePercent.ShouldBe(20);
        new AssumeWaste(200).Apply(job).Problem.ShouldContain("Waste");

        static Job Pull(Job job, CircuitAnalysis c) =>
            new MarkPulled(c.Number, Measured: new(c.Run.Segments[0].Cut.Units * 6 / 5)).Apply(job).Job!;
    }
}
