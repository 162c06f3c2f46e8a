using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.BoxLayout;

/// <summary>One flight of stairs between two storeys.</summary>
/// <param name="Upper">The stair room at its upper end, in which its light hangs; the only one drawn when just one end is.</param>
/// <param name="Lower">The stair room at its lower end, or none when that is not drawn.</param>
/// <param name="Other">For a flight with one drawn end, the storey of the other end.</param>
/// <param name="GoesOn">Another flight begins over it, so that nothing hangs from a ceiling there.</param>
public sealed record StairFlight(RoomShape Upper, RoomShape? Lower, Storey? Other, bool GoesOn)
{
    /// <summary>The rooms of its drawn ends.</summary>
    public IEnumerable<RoomShape> Ends => Lower is null ? [Upper] : [Upper, Lower];
}
