using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>Where a typed room goes: beside another, in line with one of its ends, and from there along.</summary>
internal sealed record LinePlace
{
    /// <summary>On which side of the other room.</summary>
    internal Side On { get; init; } = Side.East;

    /// <summary>The other room's name; empty is the room of the line before.</summary>
    internal string Of { get; init; } = "";

    /// <summary>Whether it lies over that room, which is on the storey below.</summary>
    internal bool Over { get; init; }

    /// <summary>At which end the two are in line; none is the north or the west end.</summary>
    internal Side? Flush { get; init; }

    /// <summary>How far it is moved from there, and which way.</summary>
    internal (Length By, Side To)? Shift { get; init; }
}
