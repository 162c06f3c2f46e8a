using Circuitum.Core.Analysis;
using Circuitum.Core.Field;
using Circuitum.Core.Jobs;
using Circuitum.Core.Simulation;

namespace Circuitum.Core.Tests;

/// <summary>What people are told in the house, against the network and the frame.</summary>
public class FieldHouseTests
{
    // What an inspector is told of a device is what goes dead in the network when it opens, lights among it, and of a switched light that
    // the panel sees it through its switch alone.
    [Fact]
    public void In_60_houses_a_device_names_all_that_it_makes_dead_and_a_switched_light_its_switch()
    {
        foreach (var (seed, a) in HouseSet.All.Take(60))
        {
            var items = CheckOff.Of(a).ToDictionary(i => i.Task.Key);
            foreach (var c in a.Circuits.Where(c => c is { Wire: not null, Run.First: not null }))
            {
                var w = HouseWirings.Of(a, c.Number);
                var (on, expected) = (Setting.AllOn(w, 0), new ExpectedReadings(a, c));
                for (var g = 0; g < w.Guards.Length; g++)
                {
                    if (w.Guards[g].Circuit != c.Number || c.Protection.Devices.All(d => d.Box != w.Guards[g].Box))
                        continue;
                    var (whole, off) = (Simulator.Run(w, on), Simulator.Run(w, on with { Off = [g] }));
                    var dead = Enumerable
                        .Range(0, w.Outlets.Length)
                        .Where(o => whole.At(o).HotBack > 2 && off.At(o).HotBack < 2)
                        .Select(o => w.Outlets[o].Box)
                        .Distinct();
                    var line = items[$"check/final/device/{c.Number}/{w.Guards[g].Box ?? "breaker"}"].Task.Lines.Single();
                    if (w.Guards[g].Box is null)
                        line.ShouldStartWith($"all of circuit {c.Number} goes dead", Case.Sensitive, $"house {seed}");
                    else
                        line.ShouldBe($"dead are {string.Join(", ", dead)}, and no other; reset", $"house {seed}");
                }

                foreach (var box in c.Run.Segments.Select(s => a.Boxes[s.To]).Where(b => w.OutletsIn(b.Id).Any()))
                    expected
                        .Dead(box)
                        .Any(l => l.Contains("with its switches on", StringComparison.Ordinal))
                        .ShouldBe(w.OutletsIn(box.Id).All(o => w.Outlets[o].Group is not null), $"house {seed}, {box.Id}");
            }
        }
    }

    // A stud is told from the same corner as its box, and lies on the side that is told.
    [Fact]
    public void In_60_houses_the_stud_of_a_box_lies_on_the_side_that_is_told()
    {
        foreach (var (seed, a) in HouseSet.All.Take(60))
        {
            foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Wall is not null && a.Specs[b.Id].Stud is not null))
            {
                var (stud, at) = (a.Specs[box.Id].Stud!, BoxSchedule.FromLeft(a.House[box.Room], box, box.Wall!.Value));
                (at - stud.FromLeft).Abs().ShouldBe(stud.Off, $"house {seed}, {box.Id}");
                if (stud.Off.InInches > 0.1)
                    (at > stud.FromLeft).ShouldBe(stud.Side == StudSide.Right, $"house {seed}, {box.Id}");
            }
        }
    }
}
