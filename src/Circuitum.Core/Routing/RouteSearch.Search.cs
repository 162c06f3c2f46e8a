using System.Collections.Immutable;
using System.Numerics;
using System.Runtime.InteropServices;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

// Weighing and telling ways between ends that are attached.
internal sealed partial class RouteSearch
{
    /// <summary>The shortest way between two ends, by the fields: its length in inches.</summary>
    /// <param name="from">One end.</param>
    /// <param name="to">The other end.</param>
    /// <param name="by">Which fields it may take, and which it takes where it can.</param>
    internal double Inches(string from, string to, RunBy by = RunBy.Shorter)
    {
        var (a, b) = (ends[from], ends[to]);
        var direct = Direct(a, b, by).Inches;

        // Nothing is shorter than straight across with the shortest way into a field at both ends.
        return direct <= a.At.RectilinearTo(b.At).InInches + a.Least + b.Least + 0.01 ? direct : Math.Min(direct, Around(a, b, by));
    }

    /// <summary>Whether a cable between two ends leaves the house: one of them stands away from it, or no field leads there.</summary>
    internal bool Outside(string from, string to) =>
        ends[from].Entries.Concat(ends[to].Entries).Any(e => e.Outside > OutsideFrom) || double.IsPositiveInfinity(Inches(from, to));

    // Who runs under the floor does so wherever both ends can.
    private bool UnderOnly(End a, End b, RunBy by) =>
        by == RunBy.Underfloor && frame.UnderFloor > 0 && a.Entries.Any(e => IsUnder(e.Field)) && b.Entries.Any(e => IsUnder(e.Field));

    // Across one field that both come into, with one turn.
    private (double Inches, Entry? A, Entry? B) Direct(End a, End b, RunBy by)
    {
        // Where something is in the way under the floor, over the ceiling is as good as around it.
        return UnderOnly(a, b, by) && Best(under: true) is { A: not null } below ? below : Best(under: false);

        (double Inches, Entry? A, Entry? B) Best(bool under)
        {
            (double Inches, Entry? A, Entry? B) best = (double.PositiveInfinity, null, null);
            foreach (var x in Open(a, by))
            {
                foreach (var y in Open(b, by))
                {
                    if (x.Field != y.Field || (under && !IsUnder(x.Field)) || frame.Fields[x.Field].Turn(x.Cell, y.Cell) < 0)
                        continue;
                    var inches = x.Inches + x.At.RectilinearTo(y.At).InInches + y.Inches;
                    if (inches < best.Inches)
                        best = (inches, x, y);
                }
            }

            return best;
        }
    }

    private double Around(End a, End b, RunBy by)
    {
        if (UnderOnly(a, b, by) && Direct(a, b, by).A is { } first && IsUnder(first.Field))
            return double.PositiveInfinity;
        var reach = ReachOf(b, by);
        var best = double.PositiveInfinity;
        foreach (var entry in Open(a, by))
        {
            foreach (var (node, inches) in entry.Visible)
                best = Math.Min(best, entry.Inches + inches + reach[node]);
        }

        return best;
    }

    // With cable overhead only, nothing comes into the space under the floor.
    private IEnumerable<Entry> Open(End end, RunBy by) => by == RunBy.Overhead ? end.Entries.Where(e => !IsUnder(e.Field)) : end.Entries;

    private double[] ReachOf(End end, RunBy which)
    {
        var kept = which == RunBy.Overhead ? 1 : 0;
        if (end.Reach[kept] is { } known)
            return known;
        var reach = new double[frame.Nodes.Count];
        Array.Fill(reach, double.PositiveInfinity);
        foreach (var entry in Open(end, which))
        {
            foreach (var (node, inches) in entry.Visible)
                Nearer(reach, frame.Far(node), entry.Inches + inches);
        }

        return end.Reach[kept] = reach;
    }

    // As many at once as the processor takes.
    private static void Nearer(Span<double> reach, ReadOnlySpan<double> far, double first)
    {
        var wide = MemoryMarshal.Cast<double, Vector<double>>(reach);
        var on = MemoryMarshal.Cast<double, Vector<double>>(far);
        var ahead = new Vector<double>(first);
        for (var i = 0; i < wide.Length; i++)
            wide[i] = Vector.Min(wide[i], on[i] + ahead);
        for (var i = wide.Length * Vector<double>.Count; i < reach.Length; i++)
            reach[i] = Math.Min(reach[i], far[i] + first);
    }

    // Where the shortest way from an end to a node comes in: the entry, and the first node that it sees.
    private (Entry Entry, int Node) EntryTo(End end, int node, RunBy by)
    {
        var (best, entry, first) = (double.PositiveInfinity, end.Entries[0], node);
        foreach (var e in Open(end, by))
        {
            foreach (var (seen, inches) in e.Visible)
            {
                if (e.Inches + inches + frame.Far(seen)[node] is var all && all < best)
                    (best, entry, first) = (all, e, seen);
            }
        }

        return (entry, first);
    }

    /// <summary>The shortest way between two ends, piece by piece; none when no field joins them.</summary>
    internal CableRoute? Route(string from, string to, RunBy by = RunBy.Shorter)
    {
        var (a, b) = (ends[from], ends[to]);
        var direct = Direct(a, b, by);
        var around = Around(a, b, by);
        if (double.IsPositiveInfinity(Math.Min(direct.Inches, around)))
            return null;
        var pieces = ImmutableArray.CreateBuilder<WayPiece>();
        if (direct.Inches <= around)
        {
            Enter(a, direct.A!, pieces, leave: false);
            Across(direct.A!.Field, direct.A.At, direct.A.Cell, direct.B!.At, direct.B.Cell, pieces);
            Enter(b, direct.B, pieces, leave: true);
            return new(pieces.ToImmutable());
        }

        var reach = ReachOf(b, by);
        var (entry, node) = Open(a, by)
            .SelectMany(e => e.Visible.Select(v => (e, v)))
            .OrderBy(x => x.e.Inches + x.v.Inches + reach[x.v.Node])
            .Select(x => (x.e, x.v.Node))
            .First();
        var (last, end) = EntryTo(b, node, by);
        Enter(a, entry, pieces, leave: false);
        var (field, at, cell) = (entry.Field, entry.At, entry.Cell);
        foreach (var step in frame.Way(node, end))
        {
            var (f, c) = frame.Nodes[step];
            var m = frame.Fields[f].Middle(c);
            var place = new Point(Length.Inches(m.X), Length.Inches(m.Y));
            if (f != field)
                pieces.Add(new(WayKind.Wall, at, place, frame.Fields[field].Z, frame.Fields[f].Z));
            else
                Across(field, at, cell, place, c, pieces);
            (field, at, cell) = (f, place, c);
        }

        Across(field, at, cell, last.At, last.Cell, pieces);
        Enter(b, last, pieces, leave: true);
        return new(pieces.ToImmutable());
    }

    // From a box to its field, or back: aside to clear stud bays, up or down, and outside the house to its edge.
    private void Enter(End end, Entry entry, ImmutableArray<WayPiece>.Builder pieces, bool leave)
    {
        var z = frame.Fields[entry.Field].Z;
        var kind = entry.Outside > OutsideFrom ? WayKind.Outside : WayKind.Studs;
        WayPiece[] way = entry.Buried is { } ground
            ?
            [
                new(WayKind.Wall, end.At, end.At, end.Z, ground),
                new(kind, end.At, entry.At, ground, ground),
                new(WayKind.Wall, entry.At, entry.At, ground, z),
            ]
            : [new(kind, end.At, entry.At, end.Z, end.Z), new(WayKind.Wall, entry.At, entry.At, end.Z, z)];
        if (leave)
            pieces.AddRange(
                way.Reverse().Select(p => new WayPiece(p.Kind, p.To, p.From, p.ToZ, p.FromZ)).Where(p => p.Length > Length.Zero)
            );
        else
            pieces.AddRange(way.Where(p => p.Length > Length.Zero));
    }

    private void Across(int field, Point a, (int I, int J) ca, Point b, (int I, int J) cb, ImmutableArray<WayPiece>.Builder pieces)
    {
        var f = frame.Fields[field];
        var turn = f.Turn(ca, cb) == 1 ? new Point(a.X, b.Y) : new Point(b.X, a.Y);
        foreach (var piece in new[] { new WayPiece(WayKind.Field, a, turn, f.Z, f.Z), new WayPiece(WayKind.Field, turn, b, f.Z, f.Z) })
        {
            if (piece.Length > Length.Zero)
                pieces.Add(piece);
        }
    }
}
