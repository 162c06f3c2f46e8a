using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>
/// A level in which cable runs across the house: the joists over a storey, an attic, a crawl space. Known as small square
/// cells, each free or not, so that a straight piece can be looked up at once. Cable runs along the two axes.
/// </summary>
internal sealed class CableField
{
    /// <summary>Edge of a cell in inches.</summary>
    internal const double Cell = 2;

    private readonly double west;
    private readonly double north;
    private readonly int columns;
    private readonly int rows;
    private readonly bool[] free;
    private readonly Lazy<(int Count, List<(int From, int To, int Part)>[] Rows)> parts;

    // Blocked cells counted up along each row and down each column.
    private readonly ushort[] along;
    private readonly ushort[] down;

    private CableField(Length z, double west, double north, int columns, int rows, bool[] free)
    {
        (Z, this.west, this.north, this.columns, this.rows, this.free) = (z, west, north, columns, rows, free);
        along = new ushort[(columns + 1) * rows];
        down = new ushort[columns * (rows + 1)];
        for (var j = 0; j < rows; j++)
        {
            for (var i = 0; i < columns; i++)
            {
                var blocked = (ushort)(free[(j * columns) + i] ? 0 : 1);
                along[(j * (columns + 1)) + i + 1] = (ushort)(along[(j * (columns + 1)) + i] + blocked);
                down[((j + 1) * columns) + i] = (ushort)(down[(j * columns) + i] + blocked);
            }
        }

        Corners = [.. FindCorners()];
        parts = new(Parts);
    }

    /// <summary>Its height over the first floor.</summary>
    internal Length Z { get; }

    /// <summary>The cells in which a shortest way around something turns.</summary>
    internal IReadOnlyList<(int I, int J)> Corners { get; }

    /// <summary>A field over or under rooms, or none when there is no room.</summary>
    /// <param name="z">Its height.</param>
    /// <param name="rooms">The rooms.</param>
    /// <param name="margin">How far it goes beyond their inside faces, in inches: over the walls.</param>
    /// <param name="openings">Rooms through whose place nothing runs: stairs that go on upward.</param>
    /// <param name="blocks">Ducts, beams and chimneys as west, north, east and south edges in inches.</param>
    internal static CableField? Of(
        Length z,
        IReadOnlyList<RoomShape> rooms,
        double margin,
        IEnumerable<RoomShape> openings,
        IEnumerable<(double W, double N, double E, double S)> blocks
    )
    {
        if (rooms.Count == 0)
            return null;
        var grow = (int)Math.Ceiling(margin / Cell);
        var west = rooms.Min(r => r.MinX.InInches) - ((grow + 1) * Cell);
        var north = rooms.Min(r => r.MinY.InInches) - ((grow + 1) * Cell);
        var columns = (int)Math.Ceiling((rooms.Max(r => r.MaxX.InInches) - west) / Cell) + grow + 2;
        var rows = (int)Math.Ceiling((rooms.Max(r => r.MaxY.InInches) - north) / Cell) + grow + 2;
        var free = new bool[columns * rows];
        foreach (var room in rooms)
            Fill(room, true);
        Grow();
        foreach (var open in openings)
            Fill(open, false);
        foreach (var (w, n, e, s) in blocks)
        {
            // The cells whose middle it covers.
            for (
                var j = Math.Max(0, (int)Math.Ceiling(((n - north) / Cell) - 0.5));
                j <= Math.Min(rows - 1, (int)Math.Floor(((s - north) / Cell) - 0.5));
                j++
            )
            {
                for (
                    var i = Math.Max(0, (int)Math.Ceiling(((w - west) / Cell) - 0.5));
                    i <= Math.Min(columns - 1, (int)Math.Floor(((e - west) / Cell) - 0.5));
                    i++
                )
                    free[(j * columns) + i] = false;
            }
        }

        return new(z, west, north, columns, rows, free);

        int Row(double y) => (int)Math.Floor((y - north) / Cell);

        // Row by row, between the places where the outline is crossed.
        void Fill(RoomShape room, bool value)
        {
            var walls = room.Walls;
            for (var j = Math.Max(0, Row(room.MinY.InInches)); j <= Math.Min(rows - 1, Row(room.MaxY.InInches)); j++)
            {
                var y = north + ((j + 0.5) * Cell);
                var crossed = walls
                    .Where(w => (w.A.Y.InInches <= y) != (w.B.Y.InInches <= y))
                    .Select(w => w.A.X.InInches + ((y - w.A.Y.InInches) / (w.B.Y - w.A.Y).InInches * (w.B.X - w.A.X).InInches))
                    .Order()
                    .ToList();
                for (var k = 0; k + 1 < crossed.Count; k += 2)
                {
                    var (from, to) = (
                        Math.Max(0, (int)Math.Ceiling(((crossed[k] - west) / Cell) - 0.5)),
                        Math.Min(columns - 1, (int)Math.Floor(((crossed[k + 1] - west) / Cell) - 0.5))
                    );
                    if (to >= from)
                        free.AsSpan((j * columns) + from, to - from + 1).Fill(value);
                }
            }
        }

        // The walls belong to the field: each cell reaches a margin to either side, first along rows, then down columns.
        void Grow()
        {
            for (var axis = 0; axis < 2; axis++)
            {
                var (lines, cells, step, next) = axis == 0 ? (rows, columns, 1, columns) : (columns, rows, columns, 1);
                var was = (bool[])free.Clone();
                for (var line = 0; line < lines; line++)
                {
                    var since = int.MinValue / 2;
                    for (var c = 0; c < cells; c++)
                    {
                        if (was[(line * next) + (c * step)])
                            since = c;
                        else if (c - since <= grow)
                            free[(line * next) + (c * step)] = true;
                    }

                    since = int.MaxValue / 2;
                    for (var c = cells - 1; c >= 0; c--)
                    {
                        if (was[(line * next) + (c * step)])
                            since = c;
                        else if (since - c <= grow)
                            free[(line * next) + (c * step)] = true;
                    }
                }
            }
        }
    }

    /// <summary>The cell of a place.</summary>
    internal (int I, int J) CellOf(double x, double y) => ((int)Math.Floor((x - west) / Cell), (int)Math.Floor((y - north) / Cell));

    /// <summary>The middle of a cell in inches.</summary>
    internal (double X, double Y) Middle((int I, int J) cell) => (west + ((cell.I + 0.5) * Cell), north + ((cell.J + 0.5) * Cell));

    internal bool IsFree((int I, int J) cell) =>
        cell.I >= 0 && cell.J >= 0 && cell.I < columns && cell.J < rows && free[(cell.J * columns) + cell.I];

    /// <summary>The free cell nearest to a place, or none within some feet.</summary>
    internal (int I, int J)? NearestFree(double x, double y, double withinInches)
    {
        foreach (var cell in NearestOfEach(x, y, withinInches))
            return cell;
        return null;
    }

    /// <summary>
    /// The free cells nearest to a place, one of each part of the field that hangs together, nearest first: how a box outside is reached
    /// from the house and from a shed.
    /// </summary>
    internal IEnumerable<(int I, int J)> NearestOfEach(double x, double y, double withinInches)
    {
        var at = CellOf(x, y);
        var most = (int)(withinInches / Cell);
        var best = new Dictionary<int, (int Away, int Aside, int I, int J)>();
        for (var j = Math.Max(0, at.J - most); j <= Math.Min(rows - 1, at.J + most); j++)
        {
            // The end or the middle of each free stretch that is nearest; of several as near, the one straight ahead.
            foreach (var (from, to, part) in parts.Value.Rows[j])
            {
                var i = Math.Clamp(at.I, from, to - 1);
                var (away, aside) = (Math.Abs(i - at.I) + Math.Abs(j - at.J), Math.Abs(i - at.I));
                if (away > most || (best.TryGetValue(part, out var b) && Compare(b, (away, aside, i, j)) <= 0))
                    continue;
                best[part] = (away, aside, i, j);
            }
        }

        return best.Values.Order(Comparer<(int, int, int I, int J)>.Create(Compare)).Select(b => (b.I, b.J));

        static int Compare((int Away, int Aside, int I, int J) a, (int Away, int Aside, int I, int J) b) =>
            a.Away != b.Away ? a.Away - b.Away
            : a.Aside != b.Aside ? a.Aside - b.Aside
            : a.J != b.J ? b.J - a.J
            : b.I - a.I;
    }

    // What hangs together has one number: stretches of free cells, row by row, joined with those that they touch in the row before.
    private (int Count, List<(int From, int To, int Part)>[] Rows) Parts()
    {
        var joined = new List<int>();
        var runs = new List<(int From, int To, int Part)>[rows];
        for (var j = 0; j < rows; j++)
        {
            runs[j] = [];
            var row = free.AsSpan(j * columns, columns);
            for (var from = row.IndexOf(true); from >= 0 && from < columns; )
            {
                var to = row[from..].IndexOf(false) is var gap && gap < 0 ? columns : from + gap;
                var part = joined.Count;
                joined.Add(part);
                foreach (var above in j > 0 ? runs[j - 1] : [])
                    if (above.From < to && above.To > from)
                        joined[Root(part)] = Root(above.Part);
                runs[j].Add((from, to, part));
                from = to < columns && row[to..].IndexOf(true) is var next && next >= 0 ? to + next : columns;
            }
        }

        foreach (var row in runs)
        {
            for (var k = 0; k < row.Count; k++)
                row[k] = row[k] with { Part = Root(row[k].Part) };
        }

        return (Enumerable.Range(0, joined.Count).Count(n => joined[n] == n), runs);

        int Root(int n)
        {
            while (joined[n] != n)
                n = joined[n] = joined[joined[n]];
            return n;
        }
    }

    /// <summary>
    /// Where the one turn of a way between two cells lies: 0 first along, then down; 1 first down, then along; -1 when neither is free.
    /// </summary>
    internal int Turn((int I, int J) a, (int I, int J) b)
    {
        if (Along(a.J, a.I, b.I) && Down(b.I, a.J, b.J))
            return 0;
        return Down(a.I, a.J, b.J) && Along(b.J, a.I, b.I) ? 1 : -1;
    }

    private bool Along(int row, int from, int to)
    {
        var (least, most) = from < to ? (from, to) : (to, from);
        return along[(row * (columns + 1)) + most + 1] == along[(row * (columns + 1)) + least];
    }

    private bool Down(int column, int from, int to)
    {
        var (least, most) = from < to ? (from, to) : (to, from);
        return down[((most + 1) * columns) + column] == down[(least * columns) + column];
    }

    // Beside each outward corner of what is blocked: of four cells around a point just one is not free.
    private IEnumerable<(int I, int J)> FindCorners()
    {
        var seen = new HashSet<(int, int)>();
        for (var j = 0; j + 1 < rows; j++)
        {
            for (var i = 0; i + 1 < columns; i++)
            {
                var at = (j * columns) + i;
                bool a = free[at],
                    b = free[at + 1],
                    c = free[at + columns],
                    d = free[at + columns + 1];
                if ((a ? 1 : 0) + (b ? 1 : 0) + (c ? 1 : 0) + (d ? 1 : 0) != 3)
                    continue;
                var corner =
                    !a ? (i + 1, j + 1)
                    : !b ? (i, j + 1)
                    : !c ? (i + 1, j)
                    : (i, j);
                if (seen.Add(corner))
                    yield return corner;
            }
        }
    }
}
