using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>A line of a typed list: a room, or more of one that is there.</summary>
/// <param name="Number">Number of the line, from 1.</param>
/// <param name="Name">The room's name.</param>
/// <param name="Parts">What is on its walls and in it.</param>
internal sealed record RoomLine(int Number, string Name, ImmutableArray<LinePart> Parts)
{
    /// <summary>Its kind.</summary>
    internal RoomKind Kind { get; init; }

    /// <summary>West to east and north to south, inside; none for a room that is there.</summary>
    internal (Length Wide, Length Deep)? Size { get; init; }

    /// <summary>Where it goes.</summary>
    internal LinePlace Place { get; init; } = new();
}
