using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Explain;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>One piece of cable: from the panel or a box to a box.</summary>
/// <param name="From">The feeding box, or none for the home run from the panel.</param>
/// <param name="To">The box it ends in.</param>
/// <param name="Way">Length of the way, without make-up.</param>
/// <param name="Cut">Length to cut: way and make-up at both ends.</param>
/// <param name="Via">For a home run in another circuit's cable, that circuit's first box; what is cut begins there.</param>
public sealed record Hop(string? From, string To, Length Way, Length Cut, string? Via = null);

/// <summary>The estimated cable of one circuit: a tree from the panel, the first box first.</summary>
/// <param name="Hops">The home run, then each further piece in an order in which its feeding box comes before it.</param>
public sealed record RunEstimate(ImmutableArray<Hop> Hops)
{
    /// <summary>The first box, or none for an empty circuit.</summary>
    public string? First => Hops.Length == 0 ? null : Hops[0].To;

    /// <summary>Length of the home run's way.</summary>
    public Length HomeRun => Hops.Length == 0 ? Length.Zero : Hops[0].Way;

    /// <summary>Cable to cut, without waste.</summary>
    public Length Cut => Hops.Aggregate(Length.Zero, (sum, h) => sum + h.Cut);

    /// <summary>The box and all boxes that are fed through it.</summary>
    public ImmutableHashSet<string> Through(string box)
    {
        var fed = ImmutableHashSet.Create(box).ToBuilder();
        foreach (var hop in Hops)
        {
            if (hop.From is not null && fed.Contains(hop.From)) fed.Add(hop.To);
        }

        return fed.ToImmutable();
    }
}

/// <summary>
/// The door to run lengths: estimates each circuit's cable along the two axes of the plan, up or down to the nearest
/// level in which cable can run across, and down or up again. The real frame will replace the estimate, not its shape.
/// </summary>
public sealed class Runs
{
    private readonly HouseShape house;
    private readonly Job job;
    private readonly Dictionary<string, (Point At, Length Z, Box Box)> places;
    private readonly (Point At, Length Z)? panel;
    private readonly ImmutableArray<Length> levels;

    /// <summary>Prepares the places and levels of a house.</summary>
    public Runs(HouseShape house)
    {
        this.house = house;
        job = house.Job;
        places = job.Decisions.Boxes.ToDictionary(b => b.Id, b => (Places.Of(house, b), Floor(b.Room) + b.Height, b));
        if (job.Panels.Length > 0)
        {
            var p = job.Panels[0];
            panel = (house[p.Room].On(p.Wall, p.Along), Floor(p.Room) + p.Top);
        }

        var heights = job.Storeys.Select(s => s.Floor + job.Rooms.Where(r => r.Storey == s.Id).Select(r => r.CeilingHeight).DefaultIfEmpty(Length.Feet(8)).Max() + Length.Inches(5)).ToList();
        var lowest = job.Storeys.Select(s => s.Floor).DefaultIfEmpty(Length.Zero).Min();
        var under = job.Frame.Under != Under.Slab;
        levels = [.. job.Preferences.RunBy == RunBy.Overhead || !under ? heights : heights.Prepend(lowest - Length.Inches(6))];
    }

    /// <summary>Way between two places: across at the level that makes the whole shortest.</summary>
    private Length Way(Point a, Length za, Point b, Length zb)
    {
        var across = a.RectilinearTo(b);
        var vertical = levels.Length == 0 ? (za - zb).Abs() : levels.Select(l => (za - l).Abs() + (zb - l).Abs()).Min();
        if (job.Preferences.RunBy == RunBy.Underfloor && job.Frame.Under != Under.Slab && levels.Length > 0 && za < levels[1] && zb < levels[1])
            vertical = (za - levels[0]).Abs() + (zb - levels[0]).Abs();
        return across + vertical;
    }

    /// <summary>Way from the panel to a box, or zero when the job has no panel.</summary>
    public Length FromPanel(string box) => panel is { } p ? Way(p.At, p.Z, places[box].At, places[box].Z) : Length.Zero;

    /// <summary>Way from box to box: through the studs of one room where no doorway is between, else across a level.</summary>
    public Length Between(string from, string to)
    {
        var (a, b) = (places[from], places[to]);
        var way = Way(a.At, a.Z, b.At, b.Z);
        if (a.Box.Room == b.Box.Room && a.Box.Wall is not null && b.Box.Wall is not null && ThroughStuds(a.Box, b.Box) is { } along)
            way = Length.Min(way, along + (a.Z - b.Z).Abs() + Length.Feet(1));
        return way;
    }

    /// <summary>Plans a circuit's cable: nearest box first, each further box from the nearest one that can take another cable.</summary>
    /// <param name="boxes">The circuit's boxes.</param>
    /// <param name="first">A box that must be first, or none.</param>
    public RunEstimate Plan(IReadOnlyList<string> boxes, string? first = null)
    {
        if (boxes.Count == 0) return new([]);
        var left = boxes.Order(StringComparer.Ordinal).ToList();
        var head = first ?? left.MinBy(FromPanel)!;
        left.Remove(head);
        var hops = ImmutableArray.CreateBuilder<Hop>();
        var homeWay = FromPanel(head);
        hops.Add(new(null, head, homeWay, homeWay + job.Preferences.PanelMakeUp + job.Preferences.BoxMakeUp));
        var near = left.ToDictionary(b => b, b => (From: head, Way: Between(head, b)));
        var cables = new Dictionary<string, int> { [head] = 1 };
        while (left.Count > 0)
        {
            var next = left.MinBy(b => near[b].Way)!;
            var (from, way) = near[next];
            left.Remove(next);
            hops.Add(new(from, next, way, way + (job.Preferences.BoxMakeUp * 2)));
            cables[from] = cables.GetValueOrDefault(from) + 1;
            cables[next] = 1;
            foreach (var b in left)
            {
                // A box with three cables is full enough: what hung on it looks for another.
                if (near[b].From == from && cables[from] >= 3) near[b] = cables.Where(c => c.Value < 3).Select(c => (c.Key, Between(c.Key, b))).MinBy(c => c.Item2);
                var way2 = Between(next, b);
                if (way2 < near[b].Way) near[b] = (next, way2);
            }
        }

        return new(hops.ToImmutable());
    }

    /// <summary>Plans the cable of a circuit that goes on from the first box of another one, whose home run carries both.</summary>
    /// <param name="boxes">The circuit's boxes.</param>
    /// <param name="via">The other circuit's first box.</param>
    /// <param name="first">A box that must be first, or none.</param>
    public RunEstimate PlanVia(IReadOnlyList<string> boxes, string via, string? first = null)
    {
        if (boxes.Count == 0) return new([]);
        var run = Plan(boxes, first ?? boxes.Order(StringComparer.Ordinal).MinBy(b => Between(via, b))!);
        var between = Between(via, run.First!);
        return new([run.Hops[0] with { Way = FromPanel(via) + between, Cut = between + (job.Preferences.BoxMakeUp * 2), Via = via }, .. run.Hops.Skip(1)]);
    }

    /// <summary>The derivation of a piece of cable.</summary>
    public Derivation Explain(Hop hop)
    {
        var p = job.Preferences;
        if (hop.Via is { } via)
        {
            return new($"On from {via} to {hop.To}", $"{hop.Cut.InFeet:0} ft")
            {
                Formula = $"{(hop.Cut - (p.BoxMakeUp * 2)).InFeet:0.#} ft way + {(p.BoxMakeUp * 2).InFeet:0.#} ft make-up",
                Because = $"The home run is in the cable of another circuit, which ends in {via}.",
            };
        }

        var makeUp = hop.From is null ? p.PanelMakeUp + p.BoxMakeUp : p.BoxMakeUp * 2;
        return new(hop.From is null ? "Home run" : $"{hop.From} to {hop.To}", $"{hop.Cut.InFeet:0} ft")
        {
            Formula = $"{hop.Way.InFeet:0.#} ft way + {makeUp.InFeet:0.#} ft make-up",
            Because = "Estimated along the two axes of the plan, up or down to the nearest ceiling or underfloor level, across, and to the box.",
        };
    }

    private Length Floor(string room) => job.StoreyById(job.RoomById(room)!.Storey)!.Floor;

    private Length? ThroughStuds(Box a, Box b)
    {
        var shape = house[a.Room];
        var (from, to) = (shape.ToPerimeter(a.Wall!.Value, a.Along), shape.ToPerimeter(b.Wall!.Value, b.Along));
        if (to < from) (from, to) = (to, from);
        var doors = shape.Openings.Where(o => o.Opening.Kind != OpeningKind.Window).Select(o => shape.ToPerimeter(o.Wall, o.From)).ToList();
        var inner = doors.All(d => d < from || d > to) ? to - from : (Length?)null;
        var outer = doors.All(d => d >= from && d <= to) ? shape.Perimeter - (to - from) : (Length?)null;
        return inner is { } i && outer is { } o ? Length.Min(i, o) : inner ?? outer;
    }
}
