using System.Collections.Concurrent;
using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Circuits;

/// <summary>What the cable of a circuit costs: quickly by its shortest pieces, and as it will be pulled.</summary>
internal sealed class CircuitWire
{
    private readonly Job job;
    private readonly CableRouter runs;
    private readonly ImmutableArray<ImmutableArray<Box>> things;
    private readonly (string Box, Point At)[][] places;
    private readonly PlanWeights weights;
    private readonly FeedingPanels feeding;
    private readonly List<Panel> panels;
    private readonly ConcurrentDictionary<string, int> known = [];

    /// <summary>Prepares the costs between some things.</summary>
    /// <param name="job">The job.</param>
    /// <param name="runs">The ways through the frame.</param>
    /// <param name="things">The boxes of each.</param>
    /// <param name="weights">What a foot of cable costs.</param>
    /// <param name="feeding">The panels that may feed them.</param>
    internal CircuitWire(Job job, CableRouter runs, ImmutableArray<ImmutableArray<Box>> things, PlanWeights weights, FeedingPanels feeding)
    {
        (this.job, this.runs, this.things, this.weights) = (job, runs, things, weights);
        var p = job.Preferences;
        places = [.. things.Select(t => t.Select(b => (b.Id, runs.PlaceOf(b.Id))).ToArray())];
        this.feeding = feeding;
        panels = feeding.In(things.Length > 0 ? things[0][0].Room : null);
        Home = [.. things.Select(t => Cents(Length.Feet(NearestPanel(t)) + p.PanelMakeUp + p.BoxMakeUp))];
        Between = new(
            things.Length,
            (i, j) => Cents(Nearest(places[i], places[j]) + (p.BoxMakeUp * 2)),
            (i, j) => Cents(Straight(places[i], places[j]).Least + (p.BoxMakeUp * 2))
        );
    }

    /// <summary>From the panel to each.</summary>
    internal int[] Home { get; }

    /// <summary>From each to each other.</summary>
    internal PairCosts Between { get; }

    /// <summary>All cables of a circuit of some things, in cents: home run, runs from box to box, switch legs and travelers.</summary>
    internal int Routed(int[] of)
    {
        var key = string.Join(' ', of.Order());
        if (known.TryGetValue(key, out var cents))
            return cents;
        List<Box> all = [.. of.SelectMany(t => things[t])];
        List<string> boxes = [.. all.Select(b => b.Id)];
        if (panels.Count < 2)
            return known[key] = Cents(runs.Plan(boxes).Cut);
        var va = all.Sum(b => BoxLoad.Of(job, b).Load.Value);
        var panel = feeding.Cheapest(panels, boxes, va)!;
        var run = runs.Plan(boxes, panel: panel.Id);
        var feeder = feeding.Feet(panel, boxes, va) - boxes.Min(b => runs.FromPanel(b, panel.Id)).InFeet;
        return known[key] = Cents(run.Cut + Length.Feet(feeder));
    }

    private double NearestPanel(ImmutableArray<Box> thing)
    {
        List<string> boxes = [.. thing.Select(b => b.Id)];
        return panels.Count == 0 ? 0 : panels.Min(p => feeding.Feet(p, boxes, thing.Sum(b => BoxLoad.Of(job, b).Load.Value)));
    }

    private int Cents(Length way) => (int)(way.InFeet * weights.CableFoot);

    // The two boxes that are nearest straight across: cable goes along the axes of the frame, so it is no shorter than that.
    private static (int One, int Other, Length Least) Straight((string Box, Point At)[] one, (string Box, Point At)[] other)
    {
        var best = (One: 0, Other: 0, Least: new Length(long.MaxValue));
        for (var i = 0; i < one.Length; i++)
        {
            for (var j = 0; j < other.Length; j++)
            {
                if (one[i].At.RectilinearTo(other[j].At) is var least && least < best.Least)
                    best = (i, j, least);
            }
        }

        return best;
    }

    // Of things of many boxes only those pairs are led through the frame that could be nearer than the best so far.
    private Length Nearest((string Box, Point At)[] one, (string Box, Point At)[] other)
    {
        var (i, j, _) = Straight(one, other);
        var best = runs.Between(one[i].Box, other[j].Box);
        foreach (var a in one)
        {
            foreach (var b in other)
            {
                if (a.At.RectilinearTo(b.At) < best)
                    best = Length.Min(best, runs.Between(a.Box, b.Box));
            }
        }

        return best;
    }
}
