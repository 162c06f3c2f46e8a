using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats;

/// <summary>What the directory of a panel says, place by place, and how it lies in two columns.</summary>
internal sealed record CardLines
{
    private readonly ImmutableArray<ImmutableArray<CardLine>> slots;

    // Spaces of a panel stand beside each other, odd ones left; the ways of a board are read down.
    private readonly bool down;

    private CardLines(IEnumerable<ImmutableArray<CardLine>> slots, bool down, string source) =>
        (this.slots, this.down, Source) = ([.. slots], down, source);

    /// <summary>What feeds it, and how it is protected.</summary>
    internal string Source { get; }

    /// <summary>How wide the names of places are, in points.</summary>
    internal float Number => down ? 38 : 20;

    /// <summary>Rows of two columns.</summary>
    internal int Rows => (slots.Length + 1) / 2;

    /// <summary>The lines of a panel.</summary>
    internal static CardLines Of(JobAnalysis a, PanelAnalysis at)
    {
        if (BoardSheet.Of(a, at) is not { } sheet)
            return new(
                Enumerable.Range(1, at.Panel.Spaces).Select(s => OfSpace(a, [.. at.Schedule.Where(r => r.Space == s)])),
                false,
                Fed(a, at)
            );
        return new(Ways(a, sheet).Select(l => ImmutableArray.Create(l)), true, BoardLines.Over(a, sheet)[0]);
    }

    // A section with what protects it, then its places. What protects it does not end a column.
    private static List<CardLine> Ways(JobAnalysis a, BoardSheet sheet)
    {
        var lines = new List<CardLine>();
        foreach (var section in sheet.Places.Where(p => !p.GoesOn).GroupBy(p => p.Section))
        {
            if (section.Key is { } s)
                lines.Add(new(BoardSheet.Letter(s), false, "", BoardLines.Behind(sheet, s)));
            lines.AddRange(section.Select(p => new CardLine(p.Name, false, Amperes(p.Row), Says(a, p.Row))));
        }

        while (lines.Count > 2 && lines[((lines.Count + 1) / 2) - 1].Place.Length == 1)
            lines.Insert(((lines.Count + 1) / 2) - 1, new("", false, "", ""));
        return lines;
    }

    /// <summary>What stands in a row of a card that holds some of the rows.</summary>
    internal ImmutableArray<CardLine> At((int From, int To) part, int row, bool right) =>
        slots.ElementAtOrDefault(Slot(part, row, right)) is { IsDefault: false } lines ? lines : [];

    /// <summary>What a card that holds some of the rows calls them: <c>spaces 1 to 20</c>.</summary>
    internal string Span((int From, int To) part)
    {
        var last = Math.Min(2 * part.To, slots.Length);
        return down ? $"{slots[2 * part.From][0].Place} to {slots[last - 1][0].Place}" : $"spaces {(2 * part.From) + 1} to {last}";
    }

    /// <summary>What the directory says of a place: its circuit, its feeder, or that it is spare.</summary>
    internal static string Says(JobAnalysis a, PanelRow row) =>
        row.Feeder is { } fed ? $"{a.Edition.Word("Feeder")} to {a.PanelById(fed.To)!.Panel.Name}"
        : row.Circuit is { } c ? c.Label
        : "Spare";

    private int Slot((int From, int To) part, int row, bool right) =>
        down ? part.From + row + (right ? part.To - part.From : 0) : (2 * row) + (right ? 1 : 0);

    private static ImmutableArray<CardLine> OfSpace(JobAnalysis a, ImmutableArray<PanelRow> rows) =>
        [
            .. rows.Select(r => new CardLine(
                r.Place,
                r.Half != TandemHalf.Whole,
                Amperes(r),
                r.SecondPole ? $"with {r.Space - 2}" : Says(a, r)
            )),
        ];

    private static string Amperes(PanelRow row) =>
        row.SecondPole ? ""
        : row.Feeder is { } fed ? $"{fed.Breaker}"
        : row.Circuit is { } c ? $"{c.Breaker}"
        : "";

    // Where a sub-panel is fed from belongs on it (408.4(B)).
    private static string Fed(JobAnalysis a, PanelAnalysis at) =>
        at.Feeder is { } f
            ? $"{a.Edition.Supply.Name}, {f.Breaker} A. Fed from {a.PanelById(f.From)!.Panel.Name}, "
                + $"{a.Job.RoomById(a.PanelById(f.From)!.Panel.Room)?.Name}, spaces "
                + $"{string.Join(" and ", a.PanelById(f.From)!.Schedule.Where(r => r.Feeder == f).Select(r => r.Space))}"
            : $"{a.Edition.Supply.Name}, {at.Panel.MainBreaker} A main. Fed from the service";
}

/// <summary>A line of a directory.</summary>
/// <param name="Place">The name of the place.</param>
/// <param name="Half">It is half a space.</param>
/// <param name="Amperes">Of the breaker; none for what has none of its own.</param>
/// <param name="Text">What it serves.</param>
internal sealed record CardLine(string Place, bool Half, string Amperes, string Text);
