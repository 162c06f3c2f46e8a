using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Tests;

/// <summary>What a house needs, counted, against the plan counted another way.</summary>
public sealed class TakeoffTests
{
    private static readonly Lazy<(int Seed, JobAnalysis House, HouseMaterial Material)[]> Made = new(() =>
        [.. HouseSet.All.AsParallel().AsOrdered().Select(h => (h.Seed, h.House, HouseMaterial.Of(h.House)))]
    );

    private static long Amount(HouseMaterial m, string item) => m.Pieces.Where(p => p.Item.Type.Id == item).Sum(p => p.Amount);

    private static long Of(HouseMaterial m, string key) => m.Pieces.Where(p => p.Item.Key == key).Sum(p => p.Amount);

    [Fact]
    public void Cable_feet_are_exactly_those_of_the_runs_in_300_houses()
    {
        foreach (var (seed, a, m) in Made.Value)
        {
            foreach (var (cable, cut) in a.Cable.ByType)
            {
                var key = cable.EndsWith(" for the ground", StringComparison.Ordinal) ? $"cable-ground.{cable[..^15]}" : $"cable.{cable}";
                Of(m, key).ShouldBe(cut.Units, $"house {seed}: {cable}");
            }

            // The same by the cables one by one, where nothing lies in conduit.
            if (a.Outside.All(o => o.Fill is null))
                (Amount(m, "cable") + Amount(m, "cable-ground")).ShouldBe(
                    a.Circuits.Where(c => c.Wire is not null).SelectMany(c => c.Run.Cables).Sum(h => h.Cut.Units),
                    $"house {seed}"
                );
        }
    }

    [Fact]
    public void A_house_told_in_metres_needs_the_same_cable_work_and_money()
    {
        foreach (var (seed, a, m) in Made.Value.Take(24))
        {
            var metric = HouseDeriver.Derive(a.Job with { Units = LengthUnits.Metric });
            var told = HouseMaterial.Of(metric);
            told.Lines.Select(l => (l.Item.Key, l.Stage)).ShouldBe(m.Lines.Select(l => (l.Item.Key, l.Stage)), $"house {seed}");
            foreach (var (feet, metres) in m.Lines.Zip(told.Lines))
            {
                metres.Item.Type.Unit.ShouldNotBe(ItemUnit.Feet);
                var factor = feet.Item.Type.Unit == ItemUnit.Feet ? 0.3048 : 1;
                metres.Quantity.ShouldBe(feet.Quantity * factor, 1e-6, $"house {seed}: {feet.Item.Key}");
                metres.InWords.EndsWith(" m", StringComparison.Ordinal).ShouldBe(factor < 1);
            }

            LabourPlan.Of(metric.Job, told).Hours.ShouldBe(LabourPlan.Of(a.Job, m).Hours, 1e-6);
            foreach (var plan in CutPlan.Of(metric))
            {
                plan.NewCoils.ShouldAllBe(c => c.Length.Units % Length.Millimetres(1000).Units == 0);
                plan.CoilsInWords.ShouldNotContain("ft");
                plan.Reels.ShouldAllBe(r => r.Leftover >= Length.Zero);
            }
        }
    }

    [Fact]
    public void Minutes_and_shelves_are_typed_by_the_metre_where_lengths_are_metric()
    {
        var job = Made.Value[0].House.Job with { Units = LengthUnits.Metric };
        var set = new SetMinutes("pull-foot", 0.5).Apply(job).Job!;
        set.Work!.Minutes["pull-foot"].ShouldBe(0.5 * 0.3048, 1e-9);
        var plan = LabourPlan.Of(set, HouseMaterial.Of(HouseDeriver.Derive(set)));
        plan.ByTask.Single(t => t.Task.Id == "pull-foot").Task.Text.ShouldContain("metre");
        plan.MinutesOf(plan.ByTask.Single(t => t.Task.Id == "pull-foot").Task).ShouldBe(0.5, 1e-9);
        var shelf = new KeepShelf("pull-line", 40).Apply(job).Job!.Stock!.Shelf.ShouldHaveSingleItem();
        shelf.Quantity.ShouldBe(131);
        Math.Round(shelf.In(LengthUnits.Metric)).ShouldBe(40);
        new KeepShelf("tie", 4).Apply(job).Job!.Stock!.Shelf.ShouldHaveSingleItem().Quantity.ShouldBe(4);
    }

    [Fact]
    public void Boxes_devices_plates_breakers_and_holes_are_those_of_the_plan_in_300_houses()
    {
        foreach (var (seed, a, m) in Made.Value)
        {
            var boxes = a.Job.Decisions.Boxes;
            var drill = DrillList.Of(a);
            var why = $"house {seed}";
            Amount(m, "box").ShouldBe(BoxSchedule.Of(a).Sum(r => r.Lines.Count(b => b.Spec.Entry is not null)), why);
            Amount(m, "switch").ShouldBe(boxes.Sum(b => b.Gangs.Length), why);
            Of(m, "switch.3-way").ShouldBe(2 * Groups(a.Job).Count(g => g > 1), why);
            Of(m, "switch.4-way").ShouldBe(Groups(a.Job).Sum(g => Math.Max(0, g - 2)), why);
            Amount(m, "alarm").ShouldBe(boxes.Count(b => b.Kind == BoxKind.SmokeAlarm), why);
            Amount(m, "fixture").ShouldBe(boxes.Count(b => b.Kind == BoxKind.Light), why);
            Amount(m, "receptacle")
                .ShouldBe(boxes.Where(b => a.Specs[b.Id].RatingA > 0).Sum(b => b.Style == ReceptacleStyle.Quad ? 2 : 1), why);
            (Amount(m, "plate") + Amount(m, "cover")).ShouldBe(boxes.Count(b => a.Specs[b.Id].Gangs > 0), why);
            Amount(m, "breaker")
                .ShouldBe(
                    a.Panels.Sum(p =>
                        p.Schedule.Where(r => !r.Free && !r.SecondPole && (r.Feeder is not null || r.Circuit!.Breaker > 0))
                            .DistinctBy(r => r.Space)
                            .Count()
                    ),
                    why
                );
            Amount(m, "staple").ShouldBe(drill.Staples, why);
            Amount(m, "nail-plate").ShouldBe(drill.Plates, why);
            Amount(m, "seal").ShouldBe(drill.Seals, why);
            Amount(m, "bushing").ShouldBe(drill.Bushings, why);
            Amount(m, "electrode").ShouldBe(2 * (1 + a.Panels.Count(p => p.Feeder is { ToBuilding: true })), why);
            Amount(m, "label").ShouldBe(2 * PullList.Of(a).Sum(g => g.Lines.Length), why);
        }
    }

    // How many switches each group of lights has, by the gangs that name its first light, two of one box being two groups.
    private static IEnumerable<int> Groups(Job job) =>
        job
            .Decisions.Boxes.SelectMany(b => b.Gangs.Where(g => g.Lights.Length > 0).Select(g => (b.Id, Light: g.Lights[0])))
            .GroupBy(x => x.Light)
            .Select(g => g.Count());

    [Fact]
    public void Rooms_circuits_stages_and_lines_sum_up_to_the_same_in_300_houses()
    {
        foreach (var (seed, a, m) in Made.Value)
        {
            foreach (var item in m.Pieces.GroupBy(p => p.Item.Key))
            {
                var whole = item.Sum(p => p.Amount);
                long By<T>(Func<MaterialPiece, T> key) =>
                    item.GroupBy(key).Sum(g => HouseMaterial.Grouped(g).Sum(l => l.Pieces.Sum(p => p.Amount)));
                string why = string.Create(CultureInfo.InvariantCulture, $"house {seed}: {item.Key}");
                By(p => p.Place.Room).ShouldBe(whole, why);
                By(p => p.Place.Circuit).ShouldBe(whole, why);
                By(p => p.Stage).ShouldBe(whole, why);
                By(p => p.Place.Panel).ShouldBe(whole, why);
                m.Lines.Where(l => l.Item.Key == item.Key).Sum(l => l.Pieces.Sum(p => p.Amount)).ShouldBe(whole, why);
            }

            m.Pieces.ShouldAllBe(p => p.Amount > 0);
            m.Pieces.Select(p => p.Place.Room).OfType<string>().Distinct().ShouldAllBe(r => a.Job.RoomById(r) != null);
            m.Lines.Select(l => (l.Item.Key, l.Stage)).ShouldBeUnique();

            // The same words are the same thing.
            m.Lines.GroupBy(l => l.Item.Text).ShouldAllBe(g => g.Select(l => l.Item.Key).Distinct().Count() == 1, $"house {seed}");
        }
    }

    [Fact]
    public void Every_wire_of_a_cable_ends_once_in_each_of_its_boxes_in_300_houses()
    {
        foreach (var (seed, a) in HouseSet.All)
        {
            foreach (var c in a.Circuits)
            {
                foreach (var segment in c.Run.Cables.Where(h => h.Wires is not null))
                {
                    var wires = segment.Wires!;
                    wires.Count.ShouldBeLessThanOrEqualTo(c.CableOf(segment).Conductors, $"house {seed}: {segment.From} to {segment.To}");
                    wires.Legs.Concat(wires.Pairs).ShouldAllBe(g => g >= 0 && g < c.Run.Switching.Length);
                }
            }
        }
    }
}
