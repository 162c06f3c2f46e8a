namespace Circuitum.Formats.Drawings;

/// <summary>Areas by where they are, so that those near another are found without looking at all.</summary>
internal sealed class AreaGrid
{
    private const double Cell = 40;

    private readonly Dictionary<(int, int), List<int>> cells = [];
    private readonly List<Area> areas = [];
    private readonly List<int> seen = [];
    private int asked;

    /// <summary>Adds an area and tells its number, counted from 0.</summary>
    internal int Add(Area area)
    {
        var number = areas.Count;
        areas.Add(area);
        seen.Add(0);
        for (var x = At(area.X0); x <= At(area.X1); x++)
        {
            for (var y = At(area.Y0); y <= At(area.Y1); y++)
            {
                if (!cells.TryGetValue((x, y), out var list))
                    cells[(x, y)] = list = [];
                list.Add(number);
            }
        }

        return number;
    }

    /// <summary>Takes an area away again.</summary>
    internal void Remove(int number)
    {
        var area = areas[number];
        for (var x = At(area.X0); x <= At(area.X1); x++)
        {
            for (var y = At(area.Y0); y <= At(area.Y1); y++)
                cells[(x, y)].Remove(number);
        }
    }

    /// <summary>Whether an area overlaps any of them.</summary>
    internal bool Hits(Area area)
    {
        for (var x = At(area.X0); x <= At(area.X1); x++)
        {
            for (var y = At(area.Y0); y <= At(area.Y1); y++)
            {
                if (!cells.TryGetValue((x, y), out var list))
                    continue;
                foreach (var number in list)
                {
                    if (areas[number].Overlaps(area))
                        return true;
                }
            }
        }

        return false;
    }

    /// <summary>The numbers of those that an area overlaps, each once.</summary>
    internal void Over(Area area, List<int> found)
    {
        found.Clear();
        asked++;
        for (var x = At(area.X0); x <= At(area.X1); x++)
        {
            for (var y = At(area.Y0); y <= At(area.Y1); y++)
            {
                if (!cells.TryGetValue((x, y), out var list))
                    continue;
                foreach (var number in list)
                {
                    if (seen[number] != asked && areas[number].Overlaps(area))
                    {
                        seen[number] = asked;
                        found.Add(number);
                    }
                }
            }
        }
    }

    private static int At(double pixels) => (int)Math.Floor(pixels / Cell);
}
