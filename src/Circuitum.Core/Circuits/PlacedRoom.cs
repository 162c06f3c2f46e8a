using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>What of a room has no circuit yet, in the order in which rooms follow each other along a floor.</summary>
/// <param name="Room">The room.</param>
/// <param name="Things">Boxes that stay together: a switch with its lights.</param>
/// <param name="Weight">Watts of lights, or points of sockets.</param>
/// <param name="SquareMetres">The room's floor.</param>
internal sealed record PlacedRoom(string Room, ImmutableArray<ImmutableArray<Box>> Things, double Weight, double SquareMetres);
