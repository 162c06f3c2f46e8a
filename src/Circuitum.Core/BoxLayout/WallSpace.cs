using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>A run of wall along a room's perimeter, round corners, between things that break it.</summary>
/// <param name="Room">The room's id.</param>
/// <param name="Start">Where it begins on the perimeter; may pass the perimeter's end and wrap.</param>
/// <param name="Length">How long it is along the floor line.</param>
public sealed record WallSpace(string Room, Length Start, Length Length)
{
    /// <summary>Where a place on the perimeter lies in this space, or none when it is not in it.</summary>
    public Length? Offset(Length place, Length perimeter)
    {
        var at = (place - Start).Units % perimeter.Units;
        if (at < 0)
            at += perimeter.Units;
        return at <= Length.Units ? new Length(at) : null;
    }
}
