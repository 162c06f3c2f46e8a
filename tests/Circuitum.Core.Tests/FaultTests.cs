using Circuitum.Core.Analysis;
using Circuitum.Core.Routing;
using Circuitum.Core.Simulation;

namespace Circuitum.Core.Tests;

/// <summary>Each fault at each of its places, against the table of what an electrician finds.</summary>
public class FaultTests
{
    public static TheoryData<string, string[]> Rows => TabledCases.Table("faults");

    [Theory]
    [MemberData(nameof(Rows))]
    public void A_fault_looks_as_the_table_says_at_each_place_of_six_made_up_houses(string row, string[] cells)
    {
        row.ShouldNotBeEmpty();
        HouseSet.All.Take(6).Sum(h => HouseWirings.Of(h.House).Sum(w => FaultCheck.Try(h.House, w, cells))).ShouldBeGreaterThan(0);
    }

    private static IEnumerable<(JobAnalysis House, Wiring Wiring)> Wirings =>
        HouseSet.All.Take(60).SelectMany(h => HouseWirings.Of(h.House).Select(w => (h.House, w)));

    private static int Circuit(Wiring w, string box) => w.Cables.First(c => c.Cable.To == box).Circuit;

    // 1500 W on one circuit and 60 W on the other, in series on the two lines: nearly all of them is over the small one.
    [Fact]
    public void Without_the_shared_neutral_the_lighter_load_gets_far_more_than_it_should()
    {
        var found = 0;
        foreach (var (a, w) in Wirings.Where(x => x.Wiring.Guards.Any(g => g.Tied is not null)))
        {
            var lost = Fault
                .All(w)
                .First(f =>
                    f is { Kind: FaultKind.OpenWire, Net: "neutral" } && w.Cables[f.Cable!.Value].Cable is { From: null, Via: null }
                );
            var plain = Enumerable.Range(0, w.Outlets.Length).Where(i => w.Outlets[i] is { Volts: 120, Group: null }).ToList();
            var (first, second) = (w.Guards[0].Circuit, w.Guards[1].Circuit);
            if (plain.All(i => Circuit(w, w.Outlets[i].Box) != first) || plain.All(i => Circuit(w, w.Outlets[i].Box) != second))
                continue;
            var (small, large) = (
                plain.First(i => Circuit(w, w.Outlets[i].Box) == first),
                plain.First(i => Circuit(w, w.Outlets[i].Box) == second)
            );
            var setting = Setting.AllOn(w, 0);
            var run = Simulator.Run(lost.In(w), setting with { Watts = setting.Watts.SetItem(small, 60).SetItem(large, 1500) });
            run.Between(w.Outlets[small].Hot, w.Outlets[small].Back).ShouldBe(240 * 1500 / 1560.0, 1);
            run.At(large).HotBack.ShouldBe(240 * 60 / 1560.0, 1);
            run.Trips.ShouldBeEmpty();

            // With both breakers on one line the neutral carries what both take, and nothing is felt.
            var one = Fault.All(w).Single(f => f.Kind == FaultKind.OneLine).In(w);
            var both = Simulator.Run(one, setting with { Watts = setting.Watts.SetItem(small, 960).SetItem(large, 960) });
            both.Trips.ShouldBeEmpty();
            both.At(small).HotBack.ShouldBeGreaterThan(100);
            var neutral = Enumerable.Range(0, w.Links.Length).First(l => w.Links[l] is { Net: "neutral", Kind: LinkKind.Joint, Box: null });
            Math.Abs(both.Amperes(neutral)).ShouldBeGreaterThan(14);
            found++;
        }

        found.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void A_traveler_that_is_cut_leaves_the_light_dark_in_one_of_its_two_lit_combinations()
    {
        var found = 0;
        foreach (var (_, w) in Wirings)
        {
            foreach (
                var cut in Fault.All(w).Where(f => f.Kind == FaultKind.OpenWire && f.Net.StartsWith("traveler", StringComparison.Ordinal))
            )
            {
                var wrong = cut.In(w);
                foreach (var group in w.Outlets.Select(o => o.Group).OfType<SwitchGroup>().Distinct().Where(g => g.Switches.Length == 2))
                {
                    var units = Enumerable.Range(0, w.Switches.Length).Where(s => w.Switches[s].Group == group).ToArray();
                    var light = Enumerable.Range(0, w.Outlets.Length).First(i => w.Outlets[i].Group == group);
                    bool Lit(params int[] up) => Simulator.Run(wrong, new() { Up = [.. up] }).At(light).HotBack > 100;
                    var lit = new[] { Lit(), Lit(units[0]), Lit(units[1]), Lit(units) }.Count(l => l);
                    lit.ShouldBeInRange(1, 2);
                    found += lit == 1 ? 1 : 0;
                }
            }
        }

        found.ShouldBeGreaterThan(100);
    }

    // A receptacle of the older sort with line and load exchanged: its test kills what it should not feed, and leaves itself alive.
    [Fact]
    public void An_older_device_that_is_swapped_stays_alive_when_it_opens_and_kills_what_is_beyond_it()
    {
        var found = 0;
        foreach (var (_, w) in Wirings)
        {
            foreach (var fault in Fault.All(w).Where(f => f.Kind == FaultKind.LineLoadOlder))
            {
                var guard = Enumerable.Range(0, w.Guards.Length).First(g => w.Guards[g].Box == fault.Box);
                var setting = Setting.AllOn(w, 0) with { Off = [guard] };
                var (right, wrong) = (Simulator.Run(w, setting), Simulator.Run(fault.In(w), setting));
                foreach (var i in w.OutletsIn(fault.Box!))
                {
                    right.At(i).HotBack.ShouldBe(0);
                    wrong.At(i).HotBack.ShouldBeGreaterThan(100);
                }

                for (var i = 0; i < w.Outlets.Length; i++)
                {
                    if (w.Outlets[i].Box != fault.Box)
                        (wrong.At(i).HotBack > 100).ShouldBe(right.At(i).HotBack > 100, w.Outlets[i].Box);
                }

                found++;
            }
        }

        found.ShouldBeGreaterThan(0);
    }
}
