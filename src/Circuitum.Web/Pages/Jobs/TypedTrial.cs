using System.Collections.Immutable;
using Circuitum.Core.Entry;

namespace Circuitum.Web.Pages.Jobs;

/// <summary>What typed rooms would make, while they are typed.</summary>
/// <param name="Problems">What is wrong with which line.</param>
/// <param name="Rooms">How many rooms it would make.</param>
/// <param name="Openings">How many doors and windows.</param>
/// <param name="Drawing">The storey as it would be, as SVG; empty when nothing can be made yet.</param>
public sealed record TypedTrial(ImmutableArray<LineProblem> Problems, int Rooms, int Openings, string Drawing)
{
    /// <summary>What it would make, in words.</summary>
    public string Says => $"{Counted(Rooms, "room")}, {Counted(Openings, "door or window", "doors and windows")}.";

    private static string Counted(int count, string one, string? many = null) => count == 1 ? $"1 {one}" : $"{count} {many ?? one + "s"}";
}
