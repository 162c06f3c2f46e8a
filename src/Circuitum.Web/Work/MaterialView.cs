using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Takeoff;
using Circuitum.Formats;
using Circuitum.Web.Pages.Jobs;

namespace Circuitum.Web.Work;

/// <summary>The takeoff as a person looks at it: divided, searched, and beside an issued set.</summary>
/// <param name="Whole">The material.</param>
/// <param name="Buys">What is bought, line by line.</param>
/// <param name="Parts">The parts that it is divided into.</param>
/// <param name="Cuts">The cuts on reels, cable by cable.</param>
/// <param name="Labour">The work.</param>
public sealed record MaterialView(
    HouseMaterial Whole,
    ImmutableArray<BuyLine> Buys,
    ImmutableArray<MaterialPart> Parts,
    ImmutableArray<CutPlan> Cuts,
    LabourPlan Labour
)
{
    /// <summary>The line that a key names, or none.</summary>
    public MaterialLine? Line(string key) => Whole.Lines.FirstOrDefault(l => KeyOf(l) == key);

    /// <summary>How a line is named in addresses.</summary>
    public static string KeyOf(MaterialLine line) => $"{MaterialWords.Stage(line.Stage)}:{line.Item.Key}";

    /// <summary>What is bought for a line.</summary>
    public BuyLine Buy(MaterialLine line) => Buys.First(b => b.Line.Item.Key == line.Item.Key && b.Line.Stage == line.Stage);

    internal static MaterialView Of(StageModel m)
    {
        var whole = HouseMaterial.Of(m.A);
        var before = m.Before is { } house ? HouseMaterial.Of(house) : null;
        return new(
            whole,
            Buying.Of(m.A, whole, held: false),
            [.. Divided(m, whole, before).Where(p => p.Lines.Length > 0)],
            CutPlan.Of(m.A),
            LabourPlan.Of(m.Job, whole)
        );
    }

    private static IEnumerable<MaterialPart> Divided(StageModel m, HouseMaterial whole, HouseMaterial? before)
    {
        var was = (before?.Pieces ?? []).ToLookup(p => Part(m, p));
        var now = whole.Pieces.ToLookup(p => Part(m, p));
        var keys = now.Select(g => g.Key).Concat(was.Select(g => g.Key)).Distinct().OrderBy(k => k.Order).ThenBy(k => k.Title);
        foreach (var key in keys)
        {
            var lines = HouseMaterial.Grouped(now[key]);
            var old = HouseMaterial.Grouped(was[key]).ToDictionary(KeyOf);
            yield return new(
                key.Title,
                [
                    .. lines
                        .Select(l => (Line: l, Was: before is null ? null : (double?)(old.GetValueOrDefault(KeyOf(l))?.Quantity ?? 0)))
                        .Where(l => Found(m, l.Line)),
                ],
                [.. old.Values.Where(o => lines.All(l => KeyOf(l) != KeyOf(o)) && Found(m, o))]
            );
        }
    }

    private static bool Found(StageModel m, MaterialLine line) =>
        m.Find.Length == 0
        || m.Find.Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .All(w => $"{line.Item.Text} {line.Item.Key} {line.Item.Type.Group}".Contains(w, StringComparison.OrdinalIgnoreCase));

    private static (int Order, string Title) Part(StageModel m, MaterialPiece piece) =>
        m.By switch
        {
            "room" => piece.Place.Room is { } room && m.A.House.Rooms.Select(r => r.Room).FirstOrDefault(r => r.Id == room) is { } of
                ? (m.Job.Rooms.IndexOf(of), of.Name)
                : (int.MaxValue, "The house as a whole"),
            "panel" => piece.Place.Panel is { } panel && m.A.PanelById(panel) is { } at && at.Panel.Id == panel
                ? (m.A.Panels.IndexOf(at), at.Panel.Name)
                : (int.MaxValue, "No panel"),
            "circuit" => piece.Place.Circuit is { } n
                ? (n, string.Create(CultureInfo.InvariantCulture, $"Circuit {n}, {m.A.CircuitByNumber(n)?.Label ?? "gone"}"))
                : (int.MaxValue, "No circuit"),
            _ => ((int)piece.Stage, MaterialWords.Stage(piece.Stage)),
        };
}

/// <summary>A part of the takeoff.</summary>
/// <param name="Title">What it is.</param>
/// <param name="Lines">Its lines, each with what the compared set had of it.</param>
/// <param name="Gone">Lines of the compared set that are not needed any more.</param>
public sealed record MaterialPart(string Title, ImmutableArray<(MaterialLine Line, double? Was)> Lines, ImmutableArray<MaterialLine> Gone);
