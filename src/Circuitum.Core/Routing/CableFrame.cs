using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>
/// The frame of a house as cable sees it: its fields one over the other, the turns around stairs, ducts and beams in each,
/// and the walls in which cable rises from one to the next. Kept while rooms, openings and fixed things are the same.
/// </summary>
internal sealed class CableFrame
{
    private static readonly RoomsMemo<CableFrame> Kept = new();

    private readonly List<(int Field, (int I, int J) At)> nodes = [];
    private readonly double[][] far;
    private readonly int[][] via;

    private CableFrame(HouseShape house)
    {
        var job = house.Job;
        var storeys = job.Storeys.OrderBy(s => s.Floor).ToList();
        var fields = new List<CableField>();
        var above = new Dictionary<string, ImmutableArray<int>>();
        var below = new Dictionary<string, ImmutableArray<int>>();
        var margin = job.Frame.OutsideWall.InInches;
        var ground = house
            .Rooms.Where(r =>
                storeys.Count > 0 && r.Room.Storey == storeys[0].Id && !r.Room.Kind.OpenAir() && r.Room.UnderOf(job.Frame) != Under.Slab
            )
            .ToList();
        foreach (var part in Parts(ground, margin))
        {
            if (CableField.Of(storeys[0].Floor - Length.Inches(6), part, margin, [], []) is { } under)
                fields.Add(under);
        }

        UnderFloor = fields.Count;
        if (fields.Count > 0)
            below[storeys[0].Id] = [.. Enumerable.Range(0, fields.Count)];

        for (var s = 0; s < storeys.Count; s++)
        {
            var rooms = house
                .Rooms.Where(r => r.Room.Storey == storeys[s].Id && r.Room.Kind is not (RoomKind.Deck or RoomKind.Outdoors))
                .ToList();
            var upper =
                s + 1 < storeys.Count
                    ? house.Rooms.Where(r => r.Room.Storey == storeys[s + 1].Id && r.Room.Kind == RoomKind.Stairs).ToList()
                    : [];

            // Over stairs that go on upward there is nothing to run in.
            var wells = rooms.Where(r => r.Room.Kind == RoomKind.Stairs && upper.Any(u => HouseShape.OverlapSqFt(r, u) > 1));
            var blocks = job
                .Fixtures.Where(f =>
                    f.Kind is FixtureKind.Beam or FixtureKind.Duct or FixtureKind.Fireplace && house[f.Room].Room.Storey == storeys[s].Id
                )
                .Select(f => Places.Box(house[f.Room], f.Spot));
            var z = storeys[s].Floor + rooms.Select(r => r.Room.CeilingHeight).DefaultIfEmpty(Length.Feet(8)).Max() + Length.Inches(5);
            var first = fields.Count;
            foreach (var part in Parts(rooms, margin))
            {
                if (CableField.Of(z, part, margin, wells.Where(part.Contains), blocks) is { } field)
                    fields.Add(field);
            }

            if (fields.Count == first)
                continue;
            above[storeys[s].Id] = [.. Enumerable.Range(first, fields.Count - first)];
            if (s + 1 < storeys.Count)
                below[storeys[s + 1].Id] = above[storeys[s].Id];
        }

        (Fields, Above, Below) = ([.. fields], above.ToImmutableDictionary(), below.ToImmutableDictionary());
        for (var f = 0; f < Fields.Length; f++)
        {
            foreach (var corner in Fields[f].Corners)
                nodes.Add((f, corner));
        }

        Thin();

        var risers = Risers(house).ToList();
        (far, via) = Shortest(risers);
    }

    /// <summary>The fields, lowest first.</summary>
    internal ImmutableArray<CableField> Fields { get; }

    /// <summary>The fields over each storey, one for each part of the house that stands by itself.</summary>
    internal ImmutableDictionary<string, ImmutableArray<int>> Above { get; }

    /// <summary>The fields under each storey's floor.</summary>
    internal ImmutableDictionary<string, ImmutableArray<int>> Below { get; }

    /// <summary>How many fields, the first ones, lie under the lowest floor.</summary>
    internal int UnderFloor { get; }

    /// <summary>The turns and risers of the frame.</summary>
    internal IReadOnlyList<(int Field, (int I, int J) At)> Nodes => nodes;

    /// <summary>The frame of a house.</summary>
    internal static CableFrame Of(HouseShape house)
    {
        var job = house.Job;
        var key = string.Join(
            '|',
            job.Frame.Under,
            job.Frame.OutsideWall.Units,
            string.Join(',', job.Storeys.Select(s => $"{s.Id}:{s.Floor.Units}")),
            string.Join(
                ',',
                job.Fixtures.Where(f => f.Kind is FixtureKind.Beam or FixtureKind.Duct or FixtureKind.Fireplace)
                    .Select(f => $"{f.Kind}{f.Room}{f.Spot.Wall}:{f.Spot.From.Units}:{f.Spot.At}:{f.Spot.Width.Units}:{f.Spot.Depth.Units}")
            ),
            string.Join(',', job.Openings.Select(o => $"{o.Room}{o.Wall}:{o.From.Units}:{o.Width.Units}:{o.Foot.Units}:{o.Top.Units}"))
        );
        return Kept.Of(job.Rooms, key, () => new(house));
    }

    /// <summary>Inches from a node to each; infinite where there is no way.</summary>
    internal ReadOnlySpan<double> Far(int from) => far[from];

    /// <summary>The nodes from one to another, both included.</summary>
    internal IEnumerable<int> Way(int from, int to)
    {
        for (var at = from; at != to; at = via[to][at])
            yield return at;
        yield return to;
    }

    // Cable rises inside walls of the upper storey, beside their corners, clear of openings.
    private IEnumerable<(int Lower, int Upper, double Inches)> Risers(HouseShape house)
    {
        const double FromCorner = 10;
        foreach (var (storey, lower) in Below.OrderBy(b => b.Key, StringComparer.Ordinal))
        {
            if (!Above.TryGetValue(storey, out var upper))
                continue;
            // In a storey of very many rooms not each has a riser of its own: the next one is a room away.
            var rooms = house.Rooms.Where(r => r.Room.Storey == storey && !r.Room.Kind.OpenAir()).ToList();
            var each = (rooms.Count + MostRisers - 1) / MostRisers;
            foreach (var shape in rooms.Where((_, i) => i % each == 0))
            {
                foreach (var wall in shape.Walls.Where(w => w.Length.InInches > 2 * FromCorner))
                {
                    if (shape.Openings.Any(o => o.Wall == wall.Index && o.From.InInches < FromCorner + 3))
                        continue;
                    var p = shape.On(wall.Index, Length.Inches(FromCorner), -2);
                    if (FreeAt(lower, p) is not { } a || FreeAt(upper, p) is not { } b)
                        continue;
                    nodes.Add(a);
                    nodes.Add(b);
                    yield return (nodes.Count - 2, nodes.Count - 1, (Fields[b.Field].Z - Fields[a.Field].Z).InInches);
                    break;
                }
            }
        }
    }

    private (int Field, (int I, int J) At)? FreeAt(ImmutableArray<int> fields, Point p)
    {
        foreach (var f in fields)
        {
            if (Fields[f].CellOf(p.X.InInches, p.Y.InInches) is var cell && Fields[f].IsFree(cell))
                return (f, cell);
        }

        return null;
    }

    // A saw-toothed plan has more corners than ways are worth: of those that crowd some are left out, the more the more there are.
    private void Thin()
    {
        for (var apart = 6; nodes.Count > MostTurns; apart *= 2)
        {
            var seen = new HashSet<(int, int, int)>();
            nodes.RemoveAll(n => !seen.Add((n.Field, n.At.I / apart, n.At.J / apart)));
        }
    }

    private const int MostTurns = 400;

    private const int MostRisers = 100;

    // Rooms that stand so near to each other that cable gets from one to the next.
    private static List<List<RoomShape>> Parts(List<RoomShape> rooms, double margin)
    {
        var parts = new List<List<RoomShape>>();
        foreach (var room in rooms)
        {
            var near = parts.Where(p => p.Exists(r => Near(r, room))).ToList();
            parts.RemoveAll(near.Contains);
            parts.Add([.. near.SelectMany(p => p), room]);
        }

        return [.. parts.OrderBy(p => p.Min(rooms.IndexOf))];

        bool Near(RoomShape a, RoomShape b)
        {
            var gap = (2 * margin) + (4 * CableField.Cell);
            return a.MinX.InInches - b.MaxX.InInches <= gap
                && b.MinX.InInches - a.MaxX.InInches <= gap
                && a.MinY.InInches - b.MaxY.InInches <= gap
                && b.MinY.InInches - a.MaxY.InInches <= gap;
        }
    }

    // Every node to every other one: straight pieces with one turn between those that see each other, and the risers.
    private (double[][] Far, int[][] Via) Shortest(List<(int Lower, int Upper, double Inches)> risers)
    {
        var n = nodes.Count;
        var next = new List<(int To, double Inches)>[n];
        for (var i = 0; i < n; i++)
            next[i] = [];
        for (var i = 0; i < n; i++)
        {
            for (var j = i + 1; j < n; j++)
            {
                if (nodes[i].Field != nodes[j].Field || Fields[nodes[i].Field].Turn(nodes[i].At, nodes[j].At) < 0)
                    continue;
                var inches = CableField.Cell * (Math.Abs(nodes[i].At.I - nodes[j].At.I) + Math.Abs(nodes[i].At.J - nodes[j].At.J));
                next[i].Add((j, inches));
                next[j].Add((i, inches));
            }
        }

        foreach (var (lower, upper, inches) in risers)
        {
            next[lower].Add((upper, inches));
            next[upper].Add((lower, inches));
        }

        var (distance, from) = (new double[n][], new int[n][]);
        for (var start = 0; start < n; start++)
            (distance[start], from[start]) = From(start, next);
        return (distance, from);
    }

    private static (double[] Distance, int[] Toward) From(int start, List<(int To, double Inches)>[] next)
    {
        var distance = new double[next.Length];
        var toward = new int[next.Length];
        Array.Fill(distance, double.PositiveInfinity);
        Array.Fill(toward, -1);
        distance[start] = 0;
        toward[start] = start;
        var queue = new PriorityQueue<int, double>();
        queue.Enqueue(start, 0);
        while (queue.TryDequeue(out var at, out var d))
        {
            if (d > distance[at])
                continue;
            foreach (var (to, inches) in next[at])
            {
                if (d + inches >= distance[to])
                    continue;
                (distance[to], toward[to]) = (d + inches, at);
                queue.Enqueue(to, d + inches);
            }
        }

        return (distance, toward);
    }
}
