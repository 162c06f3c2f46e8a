namespace Circuitum.Core.Circuits;

/// <summary>Cuts a row of rooms into stretches, each of which is a circuit.</summary>
internal static class Partition
{
    /// <summary>So many stretches that the heaviest is as light as can be; more where one would be over the most.</summary>
    /// <param name="row">The rooms in their order.</param>
    /// <param name="stretches">How many at least, no more than there are rooms.</param>
    /// <param name="most">The most that a stretch of several rooms weighs.</param>
    internal static List<List<PlacedRoom>> Even(IReadOnlyList<PlacedRoom> row, int stretches, double most)
    {
        while (true)
        {
            var cuts = Cut(row, stretches);
            if (stretches >= row.Count || cuts.TrueForAll(c => c.Count < 2 || c.Sum(r => r.Weight) <= most))
                return cuts;
            stretches++;
        }
    }

    /// <summary>The fewest stretches of which none is over what it may weigh and cover, and among those the most even.</summary>
    /// <param name="row">The rooms in their order, none of them over the most by itself.</param>
    /// <param name="most">Points that a stretch may have.</param>
    /// <param name="squareMetres">Floor that it may cover.</param>
    internal static List<List<PlacedRoom>> Fewest(IReadOnlyList<PlacedRoom> row, double most, double squareMetres)
    {
        bool Fits(List<PlacedRoom> stretch) =>
            stretch.Count < 2 || (stretch.Sum(r => r.Weight) <= most && stretch.Sum(r => r.SquareMetres) <= squareMetres);
        var fewest = new List<List<PlacedRoom>>();
        foreach (var room in row)
        {
            if (fewest.Count > 0 && Fits([.. fewest[^1], room]))
                fewest[^1].Add(room);
            else
                fewest.Add([room]);
        }

        var even = fewest.Count == 0 ? [] : Cut(row, fewest.Count);
        return even.TrueForAll(Fits) ? even : fewest;
    }

    // The heaviest of the stretches as light as can be, by what the last of them begins with.
    private static List<List<PlacedRoom>> Cut(IReadOnlyList<PlacedRoom> row, int stretches)
    {
        var sums = new double[row.Count + 1];
        for (var i = 0; i < row.Count; i++)
            sums[i + 1] = sums[i] + row[i].Weight;
        var heaviest = new double[stretches + 1, row.Count + 1];
        var from = new int[stretches + 1, row.Count + 1];
        for (var k = 0; k <= stretches; k++)
        {
            for (var end = 0; end <= row.Count; end++)
                heaviest[k, end] = k == 0 && end == 0 ? 0 : double.MaxValue;
        }

        for (var k = 1; k <= stretches; k++)
        {
            for (var end = k; end <= row.Count; end++)
            {
                for (var start = k - 1; start < end; start++)
                {
                    var then = Math.Max(heaviest[k - 1, start], sums[end] - sums[start]);
                    if (then < heaviest[k, end])
                        (heaviest[k, end], from[k, end]) = (then, start);
                }
            }
        }

        var cuts = new List<List<PlacedRoom>>();
        for (var (k, end) = (stretches, row.Count); k > 0; k--)
        {
            cuts.Insert(0, [.. Enumerable.Range(from[k, end], end - from[k, end]).Select(i => row[i])]);
            end = from[k, end];
        }

        return cuts;
    }
}
