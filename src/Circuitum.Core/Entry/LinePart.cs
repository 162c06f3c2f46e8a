using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>A part of a typed line after a comma.</summary>
/// <param name="Text">As it was typed.</param>
internal abstract record LinePart(string Text);

/// <summary>Openings in a wall.</summary>
/// <param name="Text">As it was typed.</param>
/// <param name="Kind">What they are.</param>
internal sealed record OpeningPart(string Text, OpeningKind Kind) : LinePart(Text)
{
    /// <summary>How many, side by side.</summary>
    internal int Count { get; init; } = 1;

    /// <summary>The room they lead to; empty for whatever is behind the wall.</summary>
    internal string To { get; init; } = "";

    /// <summary>The side of the room on which they are; none where the other room tells.</summary>
    internal Side? On { get; init; }

    /// <summary>Clear width of each; none takes the usual one.</summary>
    internal Length? Width { get; init; }

    /// <summary>From the wall's west or north end to the first jamb; none finds a place.</summary>
    internal Length? At { get; init; }
}

/// <summary>A room taken out of the room: a closet, a nook.</summary>
/// <param name="Text">As it was typed.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Along">Along the wall, inside.</param>
/// <param name="Deep">Into the room, inside.</param>
/// <param name="On">The side on which it is.</param>
/// <param name="At">From the wall's west or north end; none is that end.</param>
internal sealed record NookPart(string Text, string Name, Length Along, Length Deep, Side On, Length? At) : LinePart(Text);

/// <summary>A thing along a wall or on it.</summary>
/// <param name="Text">As it was typed.</param>
/// <param name="Word">Its word.</param>
/// <param name="On">The side of the room; none takes the longest free wall.</param>
/// <param name="At">From the wall's west or north end; none finds a place.</param>
internal sealed record ThingPart(string Text, string Word, Side? On, Length? At) : LinePart(Text);

/// <summary>The usual furniture of such a room.</summary>
/// <param name="Text">As it was typed.</param>
internal sealed record FurnishedPart(string Text) : LinePart(Text);
