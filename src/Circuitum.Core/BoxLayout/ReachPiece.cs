using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>A piece of a room's floor line, or of a counter's wall line.</summary>
/// <param name="From">Where it begins on the room's perimeter; a line that goes round the first corner passes its end.</param>
/// <param name="To">Where it ends.</param>
/// <param name="Counter">Along a counter.</param>
/// <param name="State">How well it is served.</param>
public sealed record ReachPiece(Length From, Length To, bool Counter, ReachState State);
