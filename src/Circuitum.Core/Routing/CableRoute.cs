using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>The way of one cable through the frame, from end to end.</summary>
/// <param name="Pieces">Its straight pieces.</param>
public sealed record CableRoute(ImmutableArray<WayPiece> Pieces)
{
    /// <summary>Its length.</summary>
    public Length Length => Pieces.Aggregate(Length.Zero, (sum, p) => sum + p.Length);

    /// <summary>The way in words, such as "up, across, down".</summary>
    public string InWords => string.Join(", ", Stretches.Select(s => s.Word));

    /// <summary>The way in words with its lengths, such as "up 3 ft, across 14 ft, down 7 ft"; what rounds to none is left out.</summary>
    public string Told(LengthUnits units) =>
        string.Join(", ", Stretches.Where(s => s.Length.InFeet >= 0.5).Select(s => $"{s.Word} {LengthText.Far(s.Length, units)}"))
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
