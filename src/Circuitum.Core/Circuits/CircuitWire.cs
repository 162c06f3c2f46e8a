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
    private readonly PlanWeights weights;
    private readonly FeedingPanels feeding;
    private readonly List<Panel> panels;
    private readonly Dictionary<string, int> known = [];

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
        this.feeding = feeding;
        panels = feeding.In(things.Length > 0 ? things[0][0].Room : null);
        Home = [.. things.Select(t => Cents(Length.Feet(NearestPanel(t)) + p.PanelMakeUp + p.BoxMakeUp))];
        Between = [.. things.Select(_ => new int[things.Length])];
        for (var i = 0; i < things.Length; i++)
        {
            for (var j = i + 1; j < things.Length; j++)
                Between[i][j] = Between[j][i] = Cents(Nearest(things[i], things[j]) + (p.BoxMakeUp * 2));
        }
    }

    /// <summary>From the panel to each.</summary>
    internal int[] Home { get; }

    /// <summary>From each to each other.</summary>
    internal int[][] Between { get; }

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

    // A thing of many boxes has its nearest pair looked for by the straight distance first.
    private Length Nearest(ImmutableArray<Box> one, ImmutableArray<Box> other)
    {
        var best = new Length(long.MaxValue);
        foreach (
            var (a, b, least) in one.SelectMany(a => other.Select(b => (a.Id, b.Id, Least: runs.AtLeast(a.Id, b.Id)))).OrderBy(x => x.Least)
        )
        {
            if (least >= best)
                break;
            best = Length.Min(best, runs.Between(a, b));
        }

        return best;
    }
}
