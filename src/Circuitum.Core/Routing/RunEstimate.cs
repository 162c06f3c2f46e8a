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
/// The door to runs: how far it is from the panel to a box and from box to box through the frame, by which way, and the
/// tree of cable that serves a circuit.
/// </summary>
public sealed class Runs
{
    // No box has this name: ids hold no such character.
    private const string Panel = "\u0001panel";

    // Cable between buildings, and to what no field reaches, lies this deep.
    private static readonly Length Buried = Length.Inches(24);

    private readonly HouseShape house;
    private readonly Job job;
    private readonly Dictionary<string, (Point At, Length Z, Box Box)> places;
    private readonly (Point At, Length Z)? panel;
    private readonly CableWays ways;
    private readonly Dictionary<string, Length> fromPanel = [];

    // An analysis is read by several requests at once, and what is found out on the way is kept.
    private readonly Lock gate = new();

    /// <summary>Prepares the ends of all cables in a house.</summary>
    public Runs(HouseShape house)
    {
        this.house = house;
        job = house.Job;
        ways = new(house);
        places = job.Decisions.Boxes.ToDictionary(b => b.Id, b => (Places.Of(house, b), Floor(b.Room) + b.Height, b));
        foreach (var box in job.Decisions.Boxes) ways.Add(box.Id, house[box.Room], box.Outside ? null : box.Wall, box.Along, places[box.Id].At, box.Height);
        if (job.Panels.Length == 0) return;
        var p = job.Panels[0];
        panel = (house[p.Room].On(p.Wall, p.Along), Floor(p.Room) + p.Top);
        ways.Add(Panel, house[p.Room], p.Wall, p.Along, panel.Value.At, p.Top);
    }

    /// <summary>Way from the panel to a box, or zero when the job has no panel.</summary>
    public Length FromPanel(string box)
    {
        if (panel is not { } p) return Length.Zero;
        using var _ = gate.EnterScope();
        if (!fromPanel.TryGetValue(box, out var way)) fromPanel[box] = way = ByField(Panel, box, p.At, p.Z, places[box].At, places[box].Z);
        return way;
    }

    /// <summary>Way from box to box: through the studs where a wall leads there without a doorway, else by a field.</summary>
    public Length Between(string from, string to)
    {
        var (a, b) = (places[from], places[to]);
        using var _ = gate.EnterScope();
        var way = ByField(from, to, a.At, a.Z, b.At, b.Z);
        return Studs(a.Box, b.Box) is { } along ? Length.Min(way, along) : way;
    }

    /// <summary>The way that a piece of cable takes, piece by piece.</summary>
    public CableRoute Route(Hop hop)
    {
        using var _ = gate.EnterScope();
        if (hop.Via is { } via) return Join(Route(new Hop(null, via, default, default)), Route(new Hop(via, hop.To, default, default)));
        if (hop.From is { } from)
        {
            var (a, b) = (places[from], places[hop.To]);
            if (Studs(a.Box, b.Box) is { } along && along <= ByField(from, hop.To, a.At, a.Z, b.At, b.Z)) return AlongWalls(a, b, along);
            return ways.Route(from, hop.To) ?? Underground(a.At, a.Z, b.At, b.Z);
        }

        var end = places[hop.To];
        return panel is not { } p ? new([]) : ways.Route(Panel, hop.To) ?? Underground(p.At, p.Z, end.At, end.Z);
    }

    private static CableRoute Join(CableRoute one, CableRoute other) => new([.. one.Pieces, .. other.Pieces]);

    private Length ByField(string from, string to, Point a, Length za, Point b, Length zb) =>
        ways.Inches(from, to) is var inches && double.IsFinite(inches) ? Length.Inches(inches) : Underground(a, za, b, zb).Length;

    private CableRoute Underground(Point a, Length za, Point b, Length zb)
    {
        var depth = job.Storeys.Select(s => s.Floor).DefaultIfEmpty(Length.Zero).Min() - Buried;
        return new([new(WayKind.Wall, a, a, za, depth), new(WayKind.Outside, a, b, depth, depth), new(WayKind.Wall, b, b, depth, zb)]);
    }

    // Drawn around the corners of the room; the foot of slack that goes up and down to the drilled holes is at the ends.
    private CableRoute AlongWalls((Point At, Length Z, Box Box) a, (Point At, Length Z, Box Box) b, Length along)
    {
        var shape = house[a.Box.Room];
        var corners = new List<Point> { a.At };
        if (a.Box.Room == b.Box.Room)
        {
            var (from, to) = (shape.ToPerimeter(a.Box.Wall!.Value, a.Box.Along), shape.ToPerimeter(b.Box.Wall!.Value, b.Box.Along));
            var forward = Open(shape, from, to, out var inner) && inner <= (Open(shape, to, from, out var outer) ? outer : Length.Feet(10_000));
            var n = shape.Walls.Length;
            for (var w = a.Box.Wall.Value; w != b.Box.Wall.Value || (corners.Count == 1 && (forward ? to < from : to > from)); w = forward ? (w + 1) % n : (w + n - 1) % n)
            {
                corners.Add(forward ? shape.Walls[w].B : shape.Walls[w].A);
                if (corners.Count > n + 1) break;
            }
        }

        corners.Add(b.At);
        var pieces = corners.Zip(corners.Skip(1), (p, q) => new WayPiece(WayKind.Studs, p, q, a.Z, a.Z)).Where(p => p.From != p.To).ToList();
        var rest = along - pieces.Aggregate(Length.Zero, (sum, p) => sum + p.Length);
        return new([.. pieces, new(WayKind.Wall, b.At, b.At, a.Z, a.Z + Length.Max(rest, Length.Zero))]);
    }

    // From here on along the walls to there: whether no doorway is between, and how far it is.
    private static bool Open(RoomShape shape, Length from, Length to, out Length way)
    {
        way = to >= from ? to - from : shape.Perimeter - (from - to);
        var length = way;
        return shape.Openings.Where(BlocksStuds).Select(o => shape.ToPerimeter(o.Wall, o.From)).All(o => (o >= from ? o - from : shape.Perimeter - (from - o)) > length);
    }

    // Holes are drilled about knee high: a door or a window that reaches lower is in the way.
    private static bool BlocksStuds(RoomOpening o) => o.Opening.Kind != OpeningKind.Window || (o.Opening.Sill ?? Length.Feet(3)) < Length.Inches(20);

    // Through the studs of one room's walls, or of one wall between two rooms, with a foot more for going up and down to the holes.
    private Length? Studs(Box a, Box b)
    {
        if (a.Wall is null || b.Wall is null || a.Outside || b.Outside) return null;
        var extra = ((Floor(a.Room) + a.Height) - (Floor(b.Room) + b.Height)).Abs() + Length.Feet(1);
        var shape = house[a.Room];
        if (a.Room == b.Room)
        {
            var (from, to) = (shape.ToPerimeter(a.Wall.Value, a.Along), shape.ToPerimeter(b.Wall.Value, b.Along));
            Length? best = null;
            if (Open(shape, from, to, out var inner) && Drilled(shape, a.Wall.Value, b.Wall.Value, to < from)) best = inner;
            if (Open(shape, to, from, out var outer) && (best is null || outer < best) && Drilled(shape, b.Wall.Value, a.Wall.Value, from < to)) best = outer;
            return best is { } around ? around + extra : null;
        }

        return ThroughWall(shape, a, b) is { } through ? through + extra : null;
    }

    // The two sides of one wall share its studs.
    private Length? ThroughWall(RoomShape shape, Box a, Box b)
    {
        var there = house[b.Room];
        if (there.Room.Storey != shape.Room.Storey || !Drilled(a.Room, a.Wall!.Value)) return null;
        var (one, other) = (shape.Walls[a.Wall.Value], there.Walls[b.Wall!.Value]);
        if (Math.Abs((one.Dx * other.Dy) - (one.Dy * other.Dx)) > 0.01) return null;
        var p = places[b.Id].At;
        var across = Math.Abs((((p.X - one.A.X).InInches * shape.InX(one)) + ((p.Y - one.A.Y).InInches * shape.InY(one))));
        if (across > HouseShape.ThickestWallInches) return null;
        var beside = Length.Inches(((p.X - one.A.X).InInches * one.Dx) + ((p.Y - one.A.Y).InInches * one.Dy));
        if (beside < Length.Zero || beside > one.Length) return null;
        var (from, to) = beside < a.Along ? (beside, a.Along) : (a.Along, beside);
        return shape.Openings.Any(o => o.Wall == a.Wall && BlocksStuds(o) && o.To > from && o.From < to) ? null : to - from + Length.Inches(across);
    }

    // The walls from one to another in their order, all the way round when both ends are on the same one the wrong way about.
    private bool Drilled(RoomShape shape, int from, int to, bool round)
    {
        if (job.Walls.Length == 0) return true;
        var n = shape.Walls.Length;
        var steps = ((to - from + n) % n) + (from == to && round ? n : 0);
        return Enumerable.Range(0, steps + 1).All(k => Drilled(shape.Room.Id, (from + k) % n));
    }

    // Masonry is not drilled along, and a panel wall only has its own chases.
    private bool Drilled(string room, int wall) => job.Walls.Length == 0 || WallBody.Of(house, house[room], wall).Build is not (WallBuild.Masonry or WallBuild.InsulatedPanel);

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
                Because = $"The home run is in the cable of another circuit, which ends in {via}; from there {Route(new Hop(via, hop.To, default, default)).InWords}.",
            };
        }

        var makeUp = hop.From is null ? p.PanelMakeUp + p.BoxMakeUp : p.BoxMakeUp * 2;
        return new(hop.From is null ? "Home run" : $"{hop.From} to {hop.To}", $"{hop.Cut.InFeet:0} ft")
        {
            Formula = $"{hop.Way.InFeet:0.#} ft way + {makeUp.InFeet:0.#} ft make-up",
            Because = $"Through the frame along its two axes: {Route(hop).InFeet}.",
        };
    }

    private Length Floor(string room) => job.StoreyById(job.RoomById(room)!.Storey)!.Floor;
}
