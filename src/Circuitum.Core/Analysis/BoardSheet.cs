using System.Collections.Immutable;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Analysis;

/// <summary>A split board as its schedule has it: sections, ways and lines, what they carry, and how even they are.</summary>
public sealed record BoardSheet
{
    /// <summary>The board.</summary>
    public required PanelAnalysis At { get; init; }

    /// <summary>Its sections from the left, each with the breakers that belong into it.</summary>
    public required ImmutableArray<BoardSection> Sections { get; init; }

    /// <summary>Its places, way by way.</summary>
    public required ImmutableArray<BoardPlace> Places { get; init; }

    /// <summary>Breakers that found no place, by circuit.</summary>
    public required ImmutableArray<CircuitAnalysis> Unplaced { get; init; }

    /// <summary>Its demand after diversity, that of the boards it feeds among it.</summary>
    public required ServiceLoad Demand { get; init; }

    /// <summary>How far the line farthest from the mean is away from it, and the least that any division would have.</summary>
    public required Derivation Balance { get; init; }

    /// <summary>The deviation of that line in percent of the mean.</summary>
    public required double ApartPercent { get; init; }

    /// <summary>The least deviation that any division has, in percent of the mean.</summary>
    public required double LeastPercent { get; init; }

    /// <summary>Outgoing circuits: breakers on it.</summary>
    public int Outgoing => Places.Count(p => !p.Row.Free && !p.GoesOn);

    /// <summary>Places that are free.</summary>
    public int Free => Places.Count(p => p.Row.Free);

    /// <summary>Ways of the board.</summary>
    public int Ways => At.Panel.Spaces / WayPlan.Lines;

    /// <summary>What each line carries, in watts.</summary>
    public LineLoads Lines => At.Lines;

    /// <summary>The same in amperes, each line to the neutral.</summary>
    public ImmutableArray<Amperes> LineAmperes => [.. Lines.Each.Select(w => new Amperes(w.Value / At.Supply.ToNeutral))];

    /// <summary>The current of the most loaded line after diversity: what its main switch carries.</summary>
    public Amperes MainAmperes =>
        Lines.Total.Value <= 0 ? default : new(Lines.Most.Value / Lines.Total.Value * Demand.Total.Value / At.Supply.ToNeutral);

    /// <summary>The letter of a section.</summary>
    public static string Letter(int section) => ((char)('A' + section)).ToString();

    /// <summary>The sheet of a board, or none where the family has no split boards.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="at">The board.</param>
    public static BoardSheet? Of(JobAnalysis a, PanelAnalysis at)
    {
        if (a.Edition.Board is null)
            return null;
        var needs = PanelDeriver.Ways(a, at.Panel);
        var sections = WayPlan.Layout(at.Panel, needs, a.Edition);
        ImmutableArray<BoardPlace> places =
        [
            .. at.Schedule.Take(at.Panel.Spaces / WayPlan.Lines * WayPlan.Lines).Select(r => Place(a, sections, r)),
        ];
        var placed = places.Select(p => p.Circuit?.Number).ToHashSet();
        var mean = at.Lines.Total.Value / WayPlan.Lines;
        var apart = mean <= 0 ? 0 : at.Lines.Each.Max(l => Math.Abs(l.Value - mean)) / mean * 100;
        var bound = mean <= 0 ? 0 : LineBalance.Bound([.. needs.Where(n => !n.ThreeLines).Select(n => n.Watts)]) / mean * 100;
        return new()
        {
            At = at,
            Sections = sections,
            Places = places,
            Unplaced = [.. a.Circuits.Where(c => c.Panel == at.Panel.Id && c.Boxes.Length > 0 && !placed.Contains(c.Number))],
            Demand = BoardDemand.Of(LoadCase.OfFeeder(a.House, a.Edition, PanelDeriver.On(a.Job, at.Panel.Id, a.Circuits)), a.Edition),
            ApartPercent = apart,
            LeastPercent = Math.Min(bound, apart),
            Balance = new("Lines in balance", $"{apart:0.0} percent from the mean")
            {
                Formula =
                    $"{string.Join(", ", at.Lines.Each.Select((l, i) => $"{at.Supply.Names[i]} {l.Value:#,0} W"))}; mean {mean:#,0} W",
                Because = $"No division of these breakers is nearer than {Math.Min(bound, apart):0.0} percent by its heaviest one.",
                Citation = a.Edition.Cite("board.lines"),
            },
        };
    }

    /// <summary>The place of a circuit, or none.</summary>
    public BoardPlace? PlaceOf(int circuit) => Places.FirstOrDefault(p => p.Circuit?.Number == circuit && !p.GoesOn);

    private static BoardPlace Place(JobAnalysis a, ImmutableArray<BoardSection> sections, PanelRow row)
    {
        var way = WayPlan.WayOf(row.Space);
        var section = WayPlan.SectionOf(sections, way);
        var own = way - sections.Take(section ?? sections.Length).Sum(s => s.Ways);
        var line = a.Edition.Supply.LineOf(row.Space);
        var letter = section is { } s ? Letter(s) : "-";
        var whole = row.Circuit?.Board?.ThreeLines == true || row.Feeder is not null;
        return new(whole ? $"{letter}{own}" : $"{letter}{own}-{a.Edition.Supply.Names[line]}", section, own, line, row);
    }
}
