using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Takeoff;

/// <summary>A line of the takeoff: all of one item that is needed at one stage.</summary>
/// <param name="Item">The item.</param>
/// <param name="Stage">When it is needed.</param>
/// <param name="Pieces">What needs it.</param>
public sealed record MaterialLine(MaterialItem Item, BuyStage Stage, ImmutableArray<MaterialPiece> Pieces)
{
    /// <summary>How much is needed, in the item's unit, waste not counted.</summary>
    public double Quantity => Item.Type.Unit.Amount(Pieces.Sum(p => p.Amount));

    /// <summary>What of it should not be bought yet.</summary>
    public double Held => Item.Type.Unit.Amount(Pieces.Where(p => p.Place.Held.Length > 0).Sum(p => p.Amount));

    /// <summary>Why, each reason once.</summary>
    public IEnumerable<string> Reasons => Pieces.Select(p => p.Place.Held).Where(h => h.Length > 0).Distinct();

    /// <summary>The quantity with its unit, such as <c>312 ft</c>.</summary>
    public string InWords => Say(Item.Type, Quantity);

    /// <summary>A quantity of a kind of item in words.</summary>
    public static string Say(ItemType type, double quantity) =>
        string.Create(CultureInfo.InvariantCulture, $"{quantity:#,0}{type.Unit.Sign()}");

    /// <summary>How the quantity came about: by what it comes from, the largest first.</summary>
    /// <param name="a">The analysis.</param>
    public Derivation Derivation(JobAnalysis a)
    {
        const int Most = 40;
        var places = Pieces
            .GroupBy(p => p.Place.Room)
            .Select(g => (Where: a.Job.RoomById(g.Key)?.Name ?? "the house", Pieces: g.ToList(), Sum: g.Sum(p => p.Amount)))
            .OrderByDescending(g => g.Sum)
            .ThenBy(g => g.Where, StringComparer.Ordinal)
            .ToList();
        return new(Item.Text, InWords)
        {
            Because = Item.Type.Why,
            Steps =
            [
                .. places.Select(g => new Derivation(g.Where, Say(Item.Type, Item.Type.Unit.Amount(g.Sum)))
                {
                    Steps =
                    [
                        .. g
                            .Pieces.GroupBy(p => p.From)
                            .Take(Most)
                            .Select(p =>
                                Explain.Derivation.Fact(Named(a, p.Key), Say(Item.Type, Item.Type.Unit.Amount(p.Sum(x => x.Amount))))
                            ),
                        .. g.Pieces.GroupBy(p => p.From).Count() is var all and > Most
                            ? new[] { Explain.Derivation.Fact($"and {all - Most} more places", "") }
                            : [],
                    ],
                }),
                .. Reasons.Select(r => Explain.Derivation.Fact("Held back", r)),
            ],
        };
    }

    private static string Named(JobAnalysis a, Subject from) =>
        from switch
        {
            { Kind: SubjectKind.Run, Part: { } part } => $"cable from {part} to {from.Id}",
            { Kind: SubjectKind.Run } => $"home run to {from.Id}",
            { Kind: SubjectKind.Wall, Number: { } wall } => $"{LabelWriter.Facing(a.House[from.Id], wall)} wall",
            { Kind: SubjectKind.Panel } => a.PanelById(from.Id)?.Panel.Name ?? from.Id,
            { Kind: SubjectKind.Circuit } => $"circuit {from.Id}",
            { Kind: SubjectKind.Storey } => a.Job.StoreyById(from.Id)?.Name ?? from.Id,
            _ => from.Id,
        };
}
