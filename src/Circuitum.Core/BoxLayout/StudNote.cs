using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Which stud a box is nailed to.</summary>
/// <param name="Stud">The stud's middle, from the wall's first corner.</param>
/// <param name="Side">The side of the stud, seen from the room.</param>
/// <param name="Off">From the stud's middle to the box's centre.</param>
/// <param name="Needs">What it takes when the box does not touch the stud: a bar or a block. Empty when it does.</param>
public sealed record StudNote(Length Stud, StudSide Side, Length Off, string Needs)
{
    /// <summary>
    /// The stud's middle from the corner at the left hand of a person who faces the box, as the box's own place is told: from outside for
    /// one on the outer face.
    /// </summary>
    public required Length FromLeft { get; init; }
}
