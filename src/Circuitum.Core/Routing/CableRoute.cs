using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>How a piece of a cable's way goes.</summary>
public enum WayKind
{
    /// <summary>Up or down inside a wall, through a plate where it enters or leaves a field.</summary>
    Wall,

    /// <summary>Across the joists or the attic over rooms, or the space under them.</summary>
    Field,

    /// <summary>Through the studs along a wall.</summary>
    Studs,

    /// <summary>Outside the house: buried, or in conduit on a wall.</summary>
    Outside,
}

/// <summary>One straight piece of a way.</summary>
/// <param name="Kind">How it goes.</param>
/// <param name="From">Where it begins on the plan.</param>
/// <param name="To">Where it ends on the plan.</param>
/// <param name="FromZ">Height of its beginning over the first floor.</param>
/// <param name="ToZ">Height of its end over the first floor.</param>
public sealed record WayPiece(WayKind Kind, Point From, Point To, Length FromZ, Length ToZ)
{
    /// <summary>Its length: along the two axes of the plan and up or down.</summary>
    public Length Length => From.RectilinearTo(To) + (FromZ - ToZ).Abs();
}

/// <summary>The way of one cable through the frame, from end to end.</summary>
/// <param name="Pieces">Its straight pieces.</param>
public sealed record CableRoute(ImmutableArray<WayPiece> Pieces)
{
    /// <summary>Its length.</summary>
    public Length Length => Pieces.Aggregate(Length.Zero, (sum, p) => sum + p.Length);

    /// <summary>The way in words, such as "up, across, down".</summary>
    public string InWords => string.Join(", ", Stretches.Select(s => s.Word));

    /// <summary>The way in words with whole feet, such as "up 3 ft, across 14 ft, down 7 ft"; what rounds to none is left out.</summary>
    public string InFeet =>
        string.Join(", ", Stretches.Where(s => s.Length.InFeet >= 0.5).Select(s => $"{s.Word} {s.Length.InFeet:0} ft"))
            is { Length: > 0 } words
            ? words
            : "beside it";

    // Pieces of one kind that follow each other are one stretch; less than an inch is none.
    private List<(string Word, Length Length)> Stretches
    {
        get
        {
            var stretches = new List<(string Word, Length Length)>();
            foreach (var p in Pieces.Where(p => p.Length > Length.Inches(1)))
            {
                var word = p.Kind switch
                {
                    WayKind.Wall => p.ToZ > p.FromZ ? "up" : "down",
                    WayKind.Studs => "through the studs",
                    WayKind.Outside => "outside",
                    _ => "across",
                };
                if (stretches.Count > 0 && stretches[^1].Word == word)
                    stretches[^1] = (word, stretches[^1].Length + p.Length);
                else
                    stretches.Add((word, p.Length));
            }

            return stretches;
        }
    }
}
