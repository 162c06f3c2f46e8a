using System.Collections.Immutable;

namespace Circuitum.Core.Analysis;

/// <summary>Holes of one sort in one place.</summary>
/// <param name="Where">The wall, the plate or the joists, in words.</param>
/// <param name="Holes">How many to drill.</param>
/// <param name="Cables">How many cables go through them in all.</param>
/// <param name="Fullest">Most cables in one hole.</param>
/// <param name="BitSixteenths">Diameter of the bit in sixteenths of an inch.</param>
/// <param name="Note">What to mind: the distance to the face, the limit of the member, sealing.</param>
public sealed record DrillLine(string Where, int Holes, int Cables, int Fullest, int BitSixteenths, string Note)
{
    /// <summary>Whether the hole is larger than its member allows.</summary>
    public bool TooLarge { get; init; }

    /// <summary>Whether each hole wants a nail plate.</summary>
    public bool Plated { get; init; }

    /// <summary>Whether the holes are sealed against fire, between storeys or into the garage.</summary>
    public bool Sealed { get; init; }

    /// <summary>Whether each hole wants a bushing.</summary>
    public bool Bushed { get; init; }

    /// <summary>What they are bored through.</summary>
    internal BoredMember Member { get; init; }

    /// <summary>For each hole, the cables through it.</summary>
    internal ImmutableArray<DrilledWays.Passing[]> Places { get; init; } = [];

    /// <summary>The bit as it is marked, such as 7/8 or 1-1/8 in.</summary>
    public string Bit => Marked(BitSixteenths);

    /// <summary>A diameter as bits are marked with it.</summary>
    /// <param name="sixteenths">In sixteenths of an inch.</param>
    public static string Marked(int sixteenths)
    {
        var (whole, top, bottom) = (sixteenths / 16, sixteenths % 16, 16);
        while (top > 0 && top % 2 == 0)
            (top, bottom) = (top / 2, bottom / 2);
        return top == 0 ? $"{whole} in"
            : whole == 0 ? $"{top}/{bottom} in"
            : $"{whole}-{top}/{bottom} in";
    }
}
