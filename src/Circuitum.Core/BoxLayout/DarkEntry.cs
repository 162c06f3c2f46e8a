using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>A way into a room from which no switch of its light is within reach.</summary>
/// <param name="Room">The room.</param>
/// <param name="Door">The doorway, as the room sees it.</param>
/// <param name="Nearest">How far one walks to the nearest switch, or none when there is no switch at all.</param>
public sealed record DarkEntry(RoomShape Room, RoomOpening Door, Length? Nearest);
