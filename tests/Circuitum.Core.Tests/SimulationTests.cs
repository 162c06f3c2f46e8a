using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Simulation;

namespace Circuitum.Core.Tests;

/// <summary>The planned wires as a network: fed, switched, and by the laws of currents.</summary>
public class SimulationTests
{
    private static IEnumerable<(string Name, Wiring Wiring)> Wirings(int houses) =>
        HouseSet.All.Take(houses).SelectMany(h => HouseWirings.Of(h.House).Select(w => ($"house {h.Seed}, {w.Guards[0].Circuit}", w)));

    [Fact]
    public void With_everything_on_each_outlet_of_100_houses_has_what_it_should_and_nothing_opens()
    {
        foreach (var (name, w) in Wirings(100))
        {
            var run = Simulator.Run(w, Setting.AllOn(w, 10));
            run.Trips.ShouldBeEmpty(name);
            for (var i = 0; i < w.Outlets.Length; i++)
                run.At(i)
                    .InWords(CodeLibrary.Newest.Supply)
                    .ShouldBe(w.Outlets[i].Volts == 240 ? "240, 120, 120" : "120, 120, 0", $"{name}, {w.Outlets[i].Box}");
        }
    }

    // Every throw of one of the switches changes a light: it is lit while an even number of them is down.
    [Fact]
    public void Each_switch_of_100_houses_works_its_lights_from_every_position_of_the_others()
    {
        foreach (var (name, w) in Wirings(100))
        {
            var lights = w.Outlets.Select((o, i) => (o, i)).Where(x => x.o.Group is not null).ToList();
            foreach (var group in lights.Select(l => l.o.Group!).Distinct())
            {
                var units = Enumerable.Range(0, w.Switches.Length).Where(s => w.Switches[s].Group == group).ToList();
                units.Count.ShouldBe(group.Switches.Length, name);
                for (var throws = 0; throws < 1 << units.Count; throws++)
                {
                    var up = units.Where((_, n) => (throws >> n & 1) != 0).ToImmutableHashSet();
                    var run = Simulator.Run(w, new() { Up = up });
                    var lit = (units.Count - up.Count) % 2 == 0;
                    foreach (var (o, i) in lights.Where(l => l.o.Group == group))
                        (run.At(i).HotBack > 100).ShouldBe(lit, $"{name}, {o.Box}: {up.Count} of {units.Count} up");
                }
            }
        }
    }

    [Fact]
    public void A_breaker_that_is_off_leaves_its_circuit_dead_and_the_other_of_the_cable_alive()
    {
        foreach (var (name, w) in Wirings(30))
        {
            for (var g = 0; g < w.Guards.Length; g++)
            {
                if (w.Guards[g].Box is not null)
                    continue;
                var run = Simulator.Run(w, Setting.AllOn(w, 0) with { Off = [g] });
                for (var i = 0; i < w.Outlets.Length; i++)
                {
                    var own = w.Cables.Any(c => c.Circuit == w.Guards[g].Circuit && c.Cable.To == w.Outlets[i].Box);
                    (run.At(i).HotBack > 100).ShouldBe(!own, $"{name}: breaker of {w.Guards[g].Circuit}, {w.Outlets[i].Box}");
                }
            }
        }
    }

    [Fact]
    public void What_flows_into_each_joint_flows_out_of_it()
    {
        foreach (var (name, w) in Wirings(20))
        {
            var run = Simulator.Run(w, Setting.AllOn(w, 150));
            var sums = new double[w.Nodes.Length];
            for (var l = 0; l < w.Links.Length; l++)
            {
                sums[w.Links[l].From] -= run.Amperes(l);
                sums[w.Links[l].To] += run.Amperes(l);
            }

            for (var i = 0; i < w.Outlets.Length; i++)
            {
                var (o, amps) = (
                    w.Outlets[i],
                    (run.Volts(w.Outlets[i].Hot) - run.Volts(w.Outlets[i].Back)) * 150 / w.Outlets[i].Volts / w.Outlets[i].Volts
                );
                sums[o.Hot] -= amps;
                sums[o.Back] += amps;
            }

            for (var n = 0; n < sums.Length; n++)
            {
                if (!w.Fixed.ContainsKey(n))
                    sums[n].ShouldBe(0, 1e-6, $"{name}, {w.Nodes[n]}");
            }
        }
    }

    // The same voltages by elimination over a full matrix with pivots.
    [Fact]
    public void Generated_networks_have_the_voltages_of_a_full_matrix()
    {
        for (var seed = 0; seed < 200; seed++)
        {
            var random = new Random(seed);
            var nodes = random.Next(4, 40);
            var links = Enumerable
                .Range(0, nodes * random.Next(1, 4))
                .Select(_ => (A: random.Next(nodes), B: random.Next(nodes), Siemens: Math.Pow(10, (random.NextDouble() * 7) - 4)))
                .ToList();
            var held = new Dictionary<int, double>
            {
                [0] = 120,
                [1] = -120,
                [2] = 0,
            };
            var volts = NodalSolver.Volts(nodes, links, held);
            var full = Full(nodes, links, held);
            for (var n = 0; n < nodes; n++)
                volts[n].ShouldBe(full[n], 1e-4, $"network {seed}, node {n}");
        }
    }

    private static double[] Full(int nodes, List<(int A, int B, double Siemens)> links, Dictionary<int, double> held)
    {
        var m = new double[nodes, nodes + 1];
        foreach (var (a, b, g) in links.Where(l => l.A != l.B))
        {
            (m[a, a], m[b, b]) = (m[a, a] + g, m[b, b] + g);
            (m[a, b], m[b, a]) = (m[a, b] - g, m[b, a] - g);
        }

        for (var n = 0; n < nodes; n++)
        {
            m[n, n] += 1e-9;
            if (!held.TryGetValue(n, out var v))
                continue;
            for (var k = 0; k <= nodes; k++)
                m[n, k] = k == n ? 1 : 0;
            m[n, nodes] = v;
        }

        for (var c = 0; c < nodes; c++)
        {
            var pivot = Enumerable.Range(c, nodes - c).MaxBy(r => Math.Abs(m[r, c]));
            for (var k = 0; k <= nodes; k++)
                (m[c, k], m[pivot, k]) = (m[pivot, k], m[c, k]);
            for (var r = 0; r < nodes; r++)
            {
                var f = r == c ? 0 : m[r, c] / m[c, c];
                for (var k = c; f != 0 && k <= nodes; k++)
                    m[r, k] -= f * m[c, k];
            }
        }

        return [.. Enumerable.Range(0, nodes).Select(n => m[n, nodes] / m[n, n])];
    }
}
