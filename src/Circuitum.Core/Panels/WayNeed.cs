using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Panels;

/// <summary>A breaker that wants a place on a split board.</summary>
/// <param name="Breaker">What it feeds.</param>
/// <param name="ThreeLines">On a whole way, else on one line of one.</param>
/// <param name="Watts">Its load.</param>
/// <param name="Milliamps">The section that it belongs to.</param>
/// <param name="Rings">1 for a ring.</param>
/// <param name="Sockets">Socket-outlets of a radial.</param>
/// <param name="Rooms">Rooms whose socket-outlets it feeds, which are all on one line.</param>
public sealed record WayNeed(
    BreakerKey Breaker,
    bool ThreeLines,
    int Watts,
    int Milliamps,
    int Rings = 0,
    int Sockets = 0,
    ImmutableArray<string> Rooms = default
);
