namespace Circuitum.Formats.Pictures;

/// <summary>What of a picture is something, such as ink or wall.</summary>
internal sealed class Mask(int wide, int tall)
{
    private readonly bool[] on = new bool[wide * tall];

    internal int Wide => wide;

    internal int Tall => tall;

    internal bool this[int x, int y]
    {
        get => x >= 0 && y >= 0 && x < wide && y < tall && on[(y * wide) + x];
        set => on[(y * wide) + x] = value;
    }

    /// <summary>The ink of a picture.</summary>
    internal static Mask Ink(GrayPicture picture, int threshold)
    {
        var ink = new Mask(picture.Wide, picture.Tall);
        for (var i = 0; i < picture.Shades.Length; i++)
            ink.on[i] = picture.Shades[i] <= threshold;
        return ink;
    }

    /// <summary>The same once more.</summary>
    internal Mask Copy()
    {
        var copy = new Mask(wide, tall);
        Array.Copy(on, copy.on, on.Length);
        return copy;
    }

    /// <summary>
    /// What is broad: where squares of a side are nearly full, and the squares themselves. Thin lines and letters go, noise does not
    /// matter.
    /// </summary>
    internal Mask Broad(int side)
    {
        var sums = new int[(wide + 1) * (tall + 1)];
        for (var y = 0; y < tall; y++)
        {
            for (var (x, row) = (0, 0); x < wide; x++)
            {
                row += on[(y * wide) + x] ? 1 : 0;
                sums[((y + 1) * (wide + 1)) + x + 1] = sums[(y * (wide + 1)) + x + 1] + row;
            }
        }

        var least = (int)Math.Ceiling(side * side * 0.9);
        var broad = new Mask(wide, tall);
        for (var y = 0; y + side <= tall; y++)
        {
            for (var x = 0; x + side <= wide; x++)
            {
                var (a, b) = (y * (wide + 1), (y + side) * (wide + 1));
                if (sums[b + x + side] - sums[b + x] - sums[a + x + side] + sums[a + x] < least)
                    continue;
                for (var dy = 0; dy < side; dy++)
                    Array.Fill(broad.on, true, ((y + dy) * wide) + x, side);
            }
        }

        return broad;
    }

    /// <summary>Takes out what another one holds.</summary>
    internal void Remove(Mask other)
    {
        for (var i = 0; i < on.Length; i++)
            on[i] &= !other.on[i];
    }

    /// <summary>Each point as most of the 25 about it are: edges without teeth.</summary>
    internal Mask Smooth()
    {
        var smooth = new Mask(wide, tall);
        for (var y = 0; y < tall; y++)
        {
            for (var x = 0; x < wide; x++)
            {
                var count = 0;
                for (var dy = -2; dy <= 2; dy++)
                {
                    for (var dx = -2; dx <= 2; dx++)
                        count += this[x + dx, y + dy] ? 1 : 0;
                }

                smooth.on[(y * wide) + x] = count > 12;
            }
        }

        return smooth;
    }

    /// <summary>Which part of it is on.</summary>
    internal double Share => (double)on.Count(o => o) / on.Length;

    /// <summary>Takes out pieces that are smaller than a length both ways: letters, furniture, specks.</summary>
    internal void Drop(double least)
    {
        foreach (var piece in Pieces(true))
        {
            if (piece.Max(p => p.X) - piece.Min(p => p.X) >= least || piece.Max(p => p.Y) - piece.Min(p => p.Y) >= least)
                continue;
            foreach (var (x, y) in piece)
                this[x, y] = false;
        }
    }

    /// <summary>Pieces that hang together by their sides, each with its points.</summary>
    /// <param name="value">Of what is on, or of what is not.</param>
    internal List<List<(int X, int Y)>> Pieces(bool value)
    {
        var seen = new bool[on.Length];
        var pieces = new List<List<(int, int)>>();
        var queue = new Queue<int>();
        for (var start = 0; start < on.Length; start++)
        {
            if (seen[start] || on[start] != value)
                continue;
            var piece = new List<(int, int)>();
            seen[start] = true;
            queue.Enqueue(start);
            while (queue.TryDequeue(out var at))
            {
                var (x, y) = (at % wide, at / wide);
                piece.Add((x, y));
                if (x > 0)
                    Go(at - 1);
                if (x + 1 < wide)
                    Go(at + 1);
                if (y > 0)
                    Go(at - wide);
                if (y + 1 < tall)
                    Go(at + wide);
            }

            pieces.Add(piece);
        }

        return pieces;

        void Go(int to)
        {
            if (seen[to] || on[to] != value)
                return;
            seen[to] = true;
            queue.Enqueue(to);
        }
    }
}
