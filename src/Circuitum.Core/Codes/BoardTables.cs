using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Codes;

/// <summary>What the rules of split boards say by tables; single numbers are among those of the edition.</summary>
public sealed record BoardTables
{
    /// <summary>Sizes in which boards are made, in ways of three lines, smallest first.</summary>
    public required ImmutableArray<int> Ways { get; init; }

    /// <summary>Rated residual current of the section that a use belongs to, in milliamperes.</summary>
    public required ImmutableDictionary<BoardUse, int> Residual { get; init; }

    /// <summary>Twin socket-outlets that a kind of room gets; practice.</summary>
    public required ImmutableDictionary<RoomKind, int> Points { get; init; }

    /// <summary>Whether all circuits of bathrooms are in a section of 30 mA.</summary>
    public bool BathroomsApart { get; init; }

    /// <summary>Names of breaker curves by use; B where none is named.</summary>
    public ImmutableDictionary<BoardUse, string> Curves { get; init; } = ImmutableDictionary<BoardUse, string>.Empty;

    /// <summary>Sections of a protective conductor, by that of the line where it is smaller.</summary>
    public required ImmutableDictionary<string, string> Protective { get; init; }

    /// <summary>Greatest loop impedance in ohm at which a breaker opens in time, by curve, for one of 1 A: divided by its rating.</summary>
    public required ImmutableDictionary<string, double> LoopOhmAmperes { get; init; }
}
