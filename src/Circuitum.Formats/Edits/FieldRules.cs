using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Commands;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Formats.Edits;

/// <summary>The values that are not simply a field of their name.</summary>
internal static class FieldRules
{
    private const string New = "new";
    private const string Ceiling = "ceiling";

    private static readonly FieldRule CircuitOrNew = new(CircuitOf, (v, _) => [("circuit", v is null ? New : FieldKind.Invariant(v))]);

    /// <summary>By type and value.</summary>
    internal static Dictionary<string, FieldRule> All { get; } =
        new()
        {
            ["AddBox.Along"] = FieldRule.One("along", r => r.Text("along").Length > 0 ? r.Length("along") : Length.Zero, Print),
            ["AddBox.Overhead"] = FieldRule.One("wall", r => r.Text("wall") == Ceiling, v => (bool)v ? Ceiling : null),
            ["AddBox.Wall"] = FieldRule.One("wall", r => r.Text("wall") == Ceiling ? null : r.Number("wall"), FieldKind.Invariant),
            ["AddRoom.Ceiling"] = FieldRule.One(
                "ceiling",
                r => r.Text("ceiling").Length > 0 ? r.Length("ceiling") : Core.Measure.Length.Feet(8),
                Print
            ),
            ["AddRoom.Depth"] = new(r => r.Size("size")?.Deep, (_, _) => []),
            ["AddRoom.Width"] = new(
                r => r.Size("size")?.Wide,
                (_, made) => [("size", $"{Print(((AddRoom)made).Width)} x {Print(((AddRoom)made).Depth)}")]
            ),
            ["AssignBox.Circuit"] = CircuitOrNew,
            ["AssignBoxes.Circuit"] = CircuitOrNew,
            ["AssignRoom.Circuit"] = CircuitOrNew,
            ["AddStorey.Floor"] = Signed("floor"),
            ["BoxChange.Rating"] = FieldRule.One(
                "rating",
                r => r.Has("rating") ? r.Number("rating") ?? 0 : null,
                v => (int)v == 0 ? "" : FieldKind.Invariant(v)
            ),
            ["BoxChange.VoltAmperes"] = FieldRule.One(
                "va",
                r => r.Has("va") ? r.Decimal("va") ?? -1 : null,
                v => (double)v < 0 ? "" : FieldKind.Invariant(v)
            ),
            ["CopyStorey.Floor"] = Signed("floor"),
            ["DrawRoom.Corners"] = FieldRule.One("corners", Corners, v => string.Join(';', ((ImmutableArray<Point>)v).Select(Pair))),
            ["EditCircuit.Own"] = ByKey("own.", Own),
            ["EditJob.Preferences"] = ByKey("pref.", r => Keyed(r, "pref.")),
            ["EditOpening.SwingsIn"] = FieldRule.One("swing", r => r.Text("swing") != "out", v => (bool)v ? "in" : "out"),
            ["EditStorey.Floor"] = Signed("floor"),
            ["KeepReel.Left"] = FieldRule.One("left", r => r.OffReel("left"), Print),
            ["MarkPulled.Measured"] = FieldRule.One("measured", r => r.Text("measured").Length > 0 ? r.OffReel("measured") : null, Print),
            ["MoveBox.FromLeft"] = FieldRule.One("from", r => r.Text("from") == "left", v => (bool)v ? "left" : null),
            ["MoveBreaker.Half"] = new(r => Space(r).Half, (_, _) => []),
            ["MoveBreaker.Space"] = new(
                r => Space(r).Space,
                (_, made) => [("space", SpacePlan.Write(((MoveBreaker)made).Space, ((MoveBreaker)made).Half))]
            ),
            ["MoveRoom.East"] = FieldRule.One("east", r => r.Has("dx") ? r.Inches("dx") : r.Length("east", signed: true), Print),
            ["MoveRoom.South"] = FieldRule.One("south", r => r.Has("dy") ? r.Inches("dy") : r.Length("south", signed: true), Print),
            ["MoveUnderlay.By"] = Place("dx", "dy"),
            ["MoveWall.By"] = FieldRule.One("by", r => r.Text("by").Length > 0 ? r.Length("by", signed: true) : null, Print),
            ["OutsideRun.Bends"] = FieldRule.One("bends", Bends, v =>
                string.Join(' ', ((ImmutableArray<int>)v).Select(d => d == 0 ? "/" : $"{d}"))
            ),
            ["PanelChange.AlsoTakes"] = FieldRule.One(
                "also",
                r => r.Has("also") ? r.Text("also").Split(',', Parts).ToImmutableArray() : null,
                v => string.Join(", ", (ImmutableArray<string>)v)
            ),
            ["PanelChange.FeederBreaker"] = FieldRule.One(
                "feeder",
                r => r.Has("feeder") ? r.Number("feeder") ?? 0 : null,
                v => (int)v == 0 ? "" : FieldKind.Invariant(v)
            ),
            ["PanelChange.LoopOhm"] = FieldRule.One(
                "loop",
                r => r.Has("loop") ? r.Decimal("loop") ?? 0.0 : null,
                v => (double)v == 0 ? "" : FieldKind.Invariant(v)
            ),
            ["PanelChange.Sections"] = FieldRule.One("sections", Sections, v => SectionList.Write((ImmutableArray<BoardSection>)v)),
            ["PanelChange.TandemSpaces"] = FieldRule.One("tandems", Tandems, v => SpaceList.Write((ImmutableArray<int>)v)),
            ["PutOnWall.Width"] = FieldRule.One("width", r => r.Text("width").Length > 0 ? r.Length("width") : Length.Zero, Print),
            ["RoomPin.Other"] = new(
                r => r.Text("pin") == nameof(PinKind.Alone) || r.Text("other").Length == 0 ? null : r.Text("other"),
                (v, made) => ((RoomPin)made).Kind != PinKind.Alone && v is string other ? [("other", other)] : []
            ),
            ["ScaleUnderlay.First"] = Place("ax", "ay"),
            ["ScaleUnderlay.Second"] = Place("bx", "by"),
            ["SetLabels.Labels"] = new(Labels, (v, _) =>
                ((ImmutableSortedDictionary<int, string>)v!).Select(l => ($"label.{l.Key}", l.Value))
            ),
            ["TypeRooms.Lines"] = FieldRule.One("lines", r => r.Lines("lines"), v => string.Join('\n', (ImmutableArray<string>)v)),
            ["SetWallLength.AtStart"] = FieldRule.One("end", r => r.Text("end") == "start", v => (bool)v ? "start" : null),
        };

    private const StringSplitOptions Parts = StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries;

    /// <summary>A place on the plan, in inches; none where the first field is empty.</summary>
    internal static FieldRule Place(string x, string y) =>
        new(
            r => r.Text(x).Length > 0 ? new Point(r.Inches(x), r.Inches(y)) : null,
            (v, _) => v is Point at ? [(x, Inches(at.X)), (y, Inches(at.Y))] : []
        );

    private static FieldRule Signed(string name) => FieldRule.One(name, r => r.Length(name, signed: true), Print);

    private static string Print(object value) => LengthText.Print((Length)value);

    private static string Inches(Length length) => length.InInches.ToString("0.####", CultureInfo.InvariantCulture);

    private static string Pair(Point at) => $"{Inches(at.X)},{Inches(at.Y)}";

    // "new" is a new circuit; anything else must be a number, so that a slip of the hand makes none.
    private static object? CircuitOf(EditReader r)
    {
        if (r.Text("circuit").Trim() == New)
            return null;
        if (r.Number("circuit") is { } number)
            return number;
        r.Wrong("Circuit: type its number, or new.");
        return null;
    }

    private static object Corners(EditReader r)
    {
        var corners = ImmutableArray.CreateBuilder<Point>();
        foreach (var pair in r.Text("corners").Split(';', StringSplitOptions.RemoveEmptyEntries).Take(JobRules.MostCorners + 1))
        {
            if (r.Corner(pair) is { } at)
                corners.Add(at);
        }

        // One corner and a typed size make a room as well.
        if (r.Text("size").Length > 0 && corners is [var first] && r.Size("size") is var (wide, deep))
            corners.Add(new(first.X + wide, first.Y + deep));
        return corners.ToImmutable();
    }

    private static (int Space, TandemHalf Half) Space(EditReader r)
    {
        if (SpacePlan.TryRead(r.Text("space"), out var at))
            return at;
        r.Wrong("Space: type its number, or for half of a space with a tandem its number with A or B, such as 13B.");
        return (0, TandemHalf.Whole);
    }

    private static object? Tandems(EditReader r)
    {
        if (!r.Has("tandems"))
            return null;
        if (!SpaceList.TryRead(r.Text("tandems"), out var spaces, out var wrong))
            r.Wrong($"Tandems: {wrong}");
        return spaces;
    }

    private static object? Sections(EditReader r)
    {
        if (!r.Has("sections"))
            return null;
        if (!SectionList.TryRead(r.Text("sections"), out var sections, out var wrong))
            r.Wrong($"Sections: {wrong}");
        return sections;
    }

    // "90 90 / 45": degrees one after the other, a stroke for a pull point.
    private static object? Bends(EditReader r)
    {
        if (r.Text("bends").Trim() is not { Length: > 0 } text)
            return null;
        var bends = ImmutableArray.CreateBuilder<int>();
        foreach (var word in text.Replace("/", " / ", StringComparison.Ordinal).Split([' ', ',', '+'], Parts))
        {
            if (word == "/")
                bends.Add(0);
            else if (int.TryParse(word, NumberStyles.None, CultureInfo.InvariantCulture, out var degrees) && degrees is > 0 and <= 180)
                bends.Add(degrees);
            else
                r.Wrong("Bends: type degrees from 1 to 180 in their order, a stroke for a pull point, such as 90 90 / 45.");
        }

        return bends.ToImmutable();
    }

    private static object Labels(EditReader r)
    {
        var labels = ImmutableSortedDictionary.CreateBuilder<int, string>();
        foreach (var (key, text) in Keyed(r, "label.").Take(JobRules.MostCircuits))
        {
            if (int.TryParse(key, NumberStyles.None, CultureInfo.InvariantCulture, out var number))
                labels[number] = text;
        }

        return labels.ToImmutable();
    }

    // What a circuit does not have of its own is left empty.
    private static object Own(EditReader r)
    {
        var own = Keyed(r, "own.")
            .Where(p => p.Value.Length > 0 && PreferenceFields.Find(p.Key) is { PerCircuit: true })
            .ToImmutableSortedDictionary();
        if (PreferenceFields.WriteAll(new(), own) is { Problem: { Length: > 0 } wrong })
            r.Wrong(wrong);
        return own;
    }

    private static FieldRule ByKey(string prefix, Func<EditReader, object?> read) =>
        new(read, (v, _) =>
            ((ImmutableSortedDictionary<string, string>?)v ?? ImmutableSortedDictionary<string, string>.Empty).Select(p =>
                (prefix + p.Key, p.Value)
            )
        );

    private static ImmutableSortedDictionary<string, string> Keyed(EditReader r, string prefix) =>
        r
            .Names.Where(n => n.StartsWith(prefix, StringComparison.Ordinal))
            .ToImmutableSortedDictionary(n => n[prefix.Length..], n => r.Text(n).Trim());
}
