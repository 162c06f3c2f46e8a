using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Review;

/// <summary>A whole plan to hold beside another.</summary>
/// <param name="Name">What it aims at.</param>
/// <param name="Analysis">The house with it.</param>
/// <param name="Breakers">Branch circuits.</param>
/// <param name="Spaces">Spaces that they take.</param>
/// <param name="CableFeet">Cable to buy, in feet.</param>
/// <param name="RoomsMixed">Rooms beyond the first on general receptacle circuits, summed up.</param>
/// <param name="DarkestTrip">Most rooms that one breaker leaves without light.</param>
/// <param name="Cost">What its general circuits cost by the job's own weights.</param>
/// <param name="Moved">General outlets and lights that are on another circuit than now, circuits being matched by what they share.</param>
public sealed record PlanChoice(
    string Name,
    JobAnalysis Analysis,
    int Breakers,
    int Spaces,
    double CableFeet,
    int RoomsMixed,
    int DarkestTrip,
    Money Cost,
    ImmutableHashSet<string> Moved
);
