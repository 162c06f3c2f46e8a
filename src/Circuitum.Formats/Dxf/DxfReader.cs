using System.Globalization;

namespace Circuitum.Formats.Dxf;

/// <summary>
/// Reads ASCII drawing exchange files of the twelfth release and later: lines, polylines, arcs, circles, texts and block
/// references. The file is not trusted: its size, its entities, its nesting and its numbers are bounded.
/// </summary>
public sealed partial class DxfReader
{
    /// <summary>Most bytes in a file.</summary>
    public const int MostBytes = 12_000_000;

    /// <summary>Most entities and corners, those inside laid-out blocks counted each time.</summary>
    public const int MostRecords = 500_000;

    private const int DeepestInsert = 6;
    private const int LongestText = 250;
    private const double FarthestUnit = 1e7;

    private readonly Dictionary<string, List<Entity>> blocks = new(StringComparer.OrdinalIgnoreCase);
    private readonly List<Entity> entities = [];
    private readonly DxfDrawing drawing = new();
    private int count;

    private DxfReader() { }

    private sealed class Entity(string kind)
    {
        public string Kind { get; } = kind;

        public List<(int Code, string Value)> Pairs { get; } = [];

        public List<Entity> Vertices { get; } = [];

        public string Layer =>
            Text(8) is { Length: > 0 } layer
                ? layer.Length > 100
                    ? layer[..100]
                    : layer
                : "0";

        public string Text(int code) => Pairs.FirstOrDefault(p => p.Code == code).Value ?? "";

        public double Number(int code, double otherwise = 0) => Text(code) is { Length: > 0 } text ? Parse(text) : otherwise;

        public static double Parse(string text) =>
            double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var n) ? n : double.NaN;
    }

    /// <summary>Where a block's entities go.</summary>
    private readonly record struct Placing(double A, double B, double C, double D, double X, double Y, string Layer)
    {
        public static readonly Placing None = new(1, 0, 0, 1, 0, 0, "0");

        public DxfPoint Of(DxfPoint p) => new((A * p.X) + (B * p.Y) + X, (C * p.X) + (D * p.Y) + Y);

        public double Scale => Math.Sqrt(Math.Abs((A * D) - (B * C)));

        public bool Mirrors => (A * D) - (B * C) < 0;

        public Placing Then(Placing inner) =>
            new(
                (A * inner.A) + (B * inner.C),
                (A * inner.B) + (B * inner.D),
                (C * inner.A) + (D * inner.C),
                (C * inner.B) + (D * inner.D),
                (A * inner.X) + (B * inner.Y) + X,
                (C * inner.X) + (D * inner.Y) + Y,
                inner.Layer == "0" ? Layer : inner.Layer
            );
    }

    /// <summary>Reads a file.</summary>
    public static async Task<DxfReading> ReadAsync(Stream stream, CancellationToken cancel = default)
    {
        using var buffer = new MemoryStream();
        var chunk = new byte[64 * 1024];
        int read;
        while ((read = await stream.ReadAsync(chunk, cancel).ConfigureAwait(false)) > 0)
        {
            if (buffer.Length + read > MostBytes)
                return new(null, $"The drawing is larger than {MostBytes / 1_000_000} MB, the most that is read.");
            buffer.Write(chunk, 0, read);
        }

        return Read(buffer.ToArray());
    }

    /// <summary>Reads a file.</summary>
    public static DxfReading Read(ReadOnlySpan<byte> bytes)
    {
        if (bytes[..Math.Min(bytes.Length, 4096)].Contains((byte)0))
            return new(null, "This is a binary drawing. Save it as an ASCII DXF and import that.");
        return new DxfReader().Run(System.Text.Encoding.UTF8.GetString(bytes));
    }

    private DxfReading Run(string text)
    {
        try
        {
            Sections(text);
            foreach (var entity in entities)
                Lay(entity, Placing.None, 0);
        }
        catch (InvalidDataException e)
        {
            return new(null, e.Message);
        }

        return drawing.Paths.Count + drawing.Arcs.Count + drawing.Texts.Count == 0
            ? new(null, "The drawing holds no line, arc or text that could be taken.")
            : new(drawing, "");
    }

    // A file is pairs of lines: a number that says what comes, and the value.
    private void Sections(string text)
    {
        using var lines = new StringReader(text);
        var (section, variable, block) = ("", "", "");
        var ended = false;
        Entity? current = null,
            polyline = null;
        var line = 0;
        while (lines.ReadLine() is { } first)
        {
            line++;
            if (!int.TryParse(first.AsSpan().Trim(), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var code))
                throw new InvalidDataException(
                    line <= 2
                        ? "This is not a DXF file: it does not begin with a group code."
                        : $"Line {line} of the drawing should be a group code. The file is damaged."
                );
            if (lines.ReadLine() is not { } value)
                break;
            line++;
            value = value.Trim();
            if (code == 0)
            {
                if (value == "EOF")
                {
                    ended = true;
                    break;
                }

                if (++count > MostRecords)
                    throw new InvalidDataException(
                        $"The drawing holds more than {MostRecords:#,0} entities and corners. Save only the floor plan's layers "
                            + "and import that."
                    );
                current = null;
                if (value is "SECTION" or "ENDSEC")
                    section = "";
                else if (section == "BLOCKS" && value == "BLOCK")
                    current = new Entity("BLOCK");
                else if (section == "BLOCKS" && value == "ENDBLK")
                    block = "";
                else if (section == "ENTITIES" || (section == "BLOCKS" && block.Length > 0))
                {
                    current = new Entity(value.Length > 40 ? value[..40] : value);
                    if (value == "VERTEX" && polyline is not null)
                        polyline.Vertices.Add(current);
                    else if (value == "SEQEND")
                        polyline = null;
                    else
                    {
                        polyline = value == "POLYLINE" ? current : null;
                        (section == "ENTITIES" ? entities : blocks[block]).Add(current);
                    }
                }

                continue;
            }

            if (code == 2 && section.Length == 0 && current is null)
                section = value;
            else if (section == "HEADER")
            {
                if (code == 9)
                    variable = value;
                else if (variable == "$INSUNITS" && code == 70)
                    drawing.InchesPerUnit = Units(value);
            }
            else if (current?.Kind == "BLOCK" && code == 2)
            {
                block = value;
                blocks.TryAdd(block, []);
                current.Pairs.Add((code, value));
            }
            else
                current?.Pairs.Add((code, value.Length > LongestText ? value[..LongestText] : value));
        }

        if (!ended)
            throw new InvalidDataException("The drawing breaks off before its end. Save it again and import that.");
    }

    private static double? Units(string value) =>
        value switch
        {
            "1" => 1,
            "2" => 12,
            "4" => 1 / Circuitum.Core.Measure.Length.MillimetresInInch,
            "5" => 1 / 2.54,
            "6" => 1 / 0.0254,
            _ => null,
        };
}
