namespace Circuitum.Formats.Pictures;

/// <summary>
/// Finds the gaps of walls. A wall that ends shows a face as broad as a wall is thick; what lies across from it, another such face or the
/// side of a wall that is near, is the other jamb.
/// </summary>
internal sealed class GapFinder(Mask walls, double perInch)
{
    private const double ThinnestWall = 2.5,
        ThickestWall = 14,
        WidestOpening = 18 * 12,
        NearSide = 5 * 12;

    // Pixels behind a face at which its wall is looked at from beside.
    private const int Deep = 2;

    private readonly List<WallGap> gaps = [];

    internal List<WallGap> Find()
    {
        Scan(across: true);
        Scan(across: false);
        return gaps;
    }

    private bool Wall(bool across, int along, int through) => across ? walls[along, through] : walls[through, along];

    // Faces that look on along the scan; those that look back are met from the other side, or have a near side across.
    private void Scan(bool across)
    {
        var (most, broad) = across ? (walls.Wide, walls.Tall) : (walls.Tall, walls.Wide);
        foreach (var step in new[] { 1, -1 })
        {
            for (var at = 1; at < most - 1; at++)
            {
                for (var from = 0; from < broad; from++)
                {
                    if (!IsFace(across, at, from, step))
                        continue;
                    var to = from;
                    while (to < broad && IsFace(across, at, to, step))
                        to++;
                    if (IsThick(to - from) && IsEnd(across, at - (Deep * step), from, to))
                        Reach(across, at, from, to, step);
                    from = to;
                }
            }
        }
    }

    // In a picture an edge is even to a pixel.
    private bool IsFace(bool across, int at, int through, int step) =>
        (Wall(across, at, through) || Wall(across, at - step, through))
        && !Wall(across, at + step, through)
        && !Wall(across, at + (2 * step), through);

    // Where the wall goes on beside the face it is no end but the inside of a corner, which may be a little round.
    private bool IsEnd(bool across, int at, int from, int to) => !Wall(across, at, from - 2) && !Wall(across, at, to + 1);

    private bool IsThick(int pixels) => pixels >= ThinnestWall * perInch && pixels <= ThickestWall * perInch;

    private void Reach(bool across, int at, int from, int to, int step)
    {
        var middle = (from + to) / 2;
        var limit = (int)(WidestOpening * perInch);
        for (var far = 2; far <= limit; far++)
        {
            var there = at + (step * far);
            if (!Wall(across, there, middle))
                continue;
            if (far < 6 * perInch)
                return;
            var face = Face(across, there, middle, -step);
            if (!IsThick(face) && far > NearSide * perInch)
                return;
            var (a, b) = step > 0 ? (at + 1, there) : (there + 1, at);
            Add(across ? new(a, from, b, to, true) : new(from, a, to, b, false));
            return;
        }
    }

    // How broad the face is that looks back at a place.
    private int Face(bool across, int at, int through, int step)
    {
        var (first, last) = (through, through);
        while (IsFace(across, at, first - 1, step))
            first--;
        while (IsFace(across, at, last + 1, step))
            last++;
        return last - first + 1;
    }

    // From both jambs the same gap is found.
    private void Add(WallGap gap)
    {
        if (!gaps.Exists(g => g.Across == gap.Across && g.X0 < gap.X1 && gap.X0 < g.X1 && g.Y0 < gap.Y1 && gap.Y0 < g.Y1))
            gaps.Add(gap);
    }
}
