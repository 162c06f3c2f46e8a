namespace Circuitum.Formats.Dxf;

// What entities lay on the drawing.
public sealed partial class DxfReader
{
    private void Lay(Entity e, Placing placing, int depth)
    {
        if (++count > MostRecords)
            throw new InvalidDataException(
                $"With its blocks laid out the drawing holds more than {MostRecords:#,0} entities and corners. Save only the "
                    + "floor plan's layers and import that."
            );
        var layer = e.Layer == "0" ? placing.Layer : e.Layer;
        switch (e.Kind)
        {
            case "LINE":
                Path([new(e.Number(10), e.Number(20)), new(e.Number(11), e.Number(21))], false);
                break;
            case "LWPOLYLINE":
                var corners = new List<DxfPoint>();
                for (var i = 0; i < e.Pairs.Count; i++)
                {
                    if (e.Pairs[i].Code == 10)
                        corners.Add(
                            new(
                                Entity.Parse(e.Pairs[i].Value),
                                e.Pairs.Skip(i + 1).Take(3).FirstOrDefault(p => p.Code == 20).Value is { } y ? Entity.Parse(y) : double.NaN
                            )
                        );
                }

                Path(corners, ((int)e.Number(70) & 1) == 1);
                break;
            case "POLYLINE":
                Path([.. e.Vertices.Select(v => new DxfPoint(v.Number(10), v.Number(20)))], ((int)e.Number(70) & 1) == 1);
                break;
            case "ARC" or "CIRCLE":
                Arc(e, layer, placing);
                break;
            case "TEXT" or "MTEXT":
                var at = placing.Of(new(e.Number(10), e.Number(20)));
                if (Fine(at) && Plain(e) is { Length: > 0 } words)
                    drawing.Texts.Add(new(layer, at, words));
                else
                    drawing.Skip($"{e.Kind} without a place or words");
                break;
            case "INSERT":
                Insert(e, layer, placing, depth);
                break;
            case "VERTEX" or "SEQEND" or "BLOCK" or "ATTRIB" or "ATTDEF":
                break;
            default:
                drawing.Skip(e.Kind);
                break;
        }

        void Path(List<DxfPoint> points, bool closed)
        {
            var laid = points.Select(placing.Of).ToList();
            if (laid.Count < 2 || !laid.All(Fine))
                drawing.Skip($"{e.Kind} with a number that is none or too far away");
            else
                drawing.Paths.Add(new(layer, laid, closed));
        }
    }

    private void Arc(Entity e, string layer, Placing placing)
    {
        var centre = placing.Of(new(e.Number(10), e.Number(20)));
        var radius = e.Number(40) * placing.Scale;
        var turn = Math.Atan2(placing.C, placing.A) * 180 / Math.PI;
        var (from, to) = e.Kind == "CIRCLE" ? (0.0, 360.0) : (e.Number(50), e.Number(51));
        if (placing.Mirrors)
            (from, to) = (-to, -from);
        (from, to) = (from + turn, to + turn);
        if (Fine(centre) && radius is > 0 and < FarthestUnit && double.IsFinite(from) && double.IsFinite(to))
            drawing.Arcs.Add(new(layer, centre, radius, from, to));
        else
            drawing.Skip($"{e.Kind} with a number that is none or too far away");
    }

    private void Insert(Entity e, string layer, Placing placing, int depth)
    {
        if (!blocks.TryGetValue(e.Text(2), out var inner))
        {
            drawing.Skip("INSERT of a block that is not in the file");
            return;
        }

        if (depth >= DeepestInsert)
            throw new InvalidDataException(
                $"Blocks are nested more than {DeepestInsert} deep, or a block holds itself. Explode them and import that."
            );
        var angle = e.Number(50) * Math.PI / 180;
        var (sx, sy) = (e.Number(41, 1), e.Number(42, 1));
        var own = new Placing(
            Math.Cos(angle) * sx,
            -Math.Sin(angle) * sy,
            Math.Sin(angle) * sx,
            Math.Cos(angle) * sy,
            e.Number(10),
            e.Number(20),
            layer
        );
        foreach (var entity in inner)
            Lay(entity, placing.Then(own), depth + 1);
    }

    // Formatting codes of paragraphs are dropped; what is left are the words.
    private static string Plain(Entity e)
    {
        var text = string.Concat(e.Pairs.Where(p => p.Code == 3).Select(p => p.Value)) + e.Text(1);
        text = System.Text.RegularExpressions.Regex.Replace(
            text,
            @"\\[A-Za-z][^;\\{}]{0,60};|\\[PpLlOoKk~]|[{}]",
            " ",
            System.Text.RegularExpressions.RegexOptions.None,
            TimeSpan.FromSeconds(1)
        );
        return new string([.. text.Where(c => !char.IsControl(c))]).Trim();
    }

    private static bool Fine(DxfPoint p) =>
        double.IsFinite(p.X) && double.IsFinite(p.Y) && Math.Abs(p.X) < FarthestUnit && Math.Abs(p.Y) < FarthestUnit;
}
