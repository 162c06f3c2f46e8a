using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Tests;

/// <summary>What is put in for a circuit that is only made ready.</summary>
public class MadeReadyTests
{
    [Fact]
    public void A_dryers_empty_conduit_is_as_long_as_its_run_and_holds_its_wires()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(Sample.Whole()));
        var dryer = a.Job.Appliances.First(x => x.Type == "dryer");
        var circuit = a.Circuits.Single(c => c.Boxes.Any(b => b.Appliance == dryer.Id));
        var without = HouseDeriver.Derive(new RemoveThing(Subject.Appliance(dryer.Id)).Apply(a.Job).Job!);
        var ready = MadeReady.Of(without, a, circuit);
        var more = ready.Pieces.RemoveRange(HouseMaterial.Of(without).Pieces).ToLookup(p => p.Item.Key, p => p.Amount);

        // Three 10 AWG and a ground of 10: 4 x 0.0211 = 0.0844 in2, in 40 percent of 3/4 in PVC, 0.203 in2.
        var route = a.RouteOf(circuit.Run.Cables.Single());
        more["conduit.pvc40.3/4"].Sum().ShouldBe(route.Length.Units);
        more["pull-line"].Sum().ShouldBe(route.Length.Units);
        more["box.m-sq-42"].Sum().ShouldBe(1);
        more["plate.2.blank"].Sum().ShouldBe(1);

        // Sticks of 10 ft are coupled, a bend wherever the way turns, two ends.
        var bends = route.Pieces.Count(p => p.Length > Length.Inches(1)) - 1;
        more["sweep.pvc40.3/4"].Sum().ShouldBe(bends);
        more["coupling.pvc40.3/4"].Sum().ShouldBe((int)Math.Ceiling(route.Length.InFeet / 10) - 1 + bends);
        more["adapter.pvc40.3/4"].Sum().ShouldBe(2);
        more["breaker"].ShouldBeEmpty();
    }
}
