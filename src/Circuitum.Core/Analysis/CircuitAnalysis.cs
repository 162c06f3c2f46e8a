using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

/// <summary>One branch circuit worked out.</summary>
public sealed record CircuitAnalysis
{
    /// <summary>The decision.</summary>
    public required Circuit Circuit { get; init; }

    /// <summary>Its number.</summary>
    public int Number => Circuit.Number;

    /// <summary>What the directory says.</summary>
    public required string Label { get; init; }

    /// <summary>Its boxes that take power, first box first; what only cuts equipment off is on its run alone.</summary>
    public required ImmutableArray<Box> Boxes { get; init; }

    /// <summary>Load.</summary>
    public required CircuitLoad Load { get; init; }

    /// <summary>What of it runs on an ordinary evening.</summary>
    public required ExpectedLoad Expected { get; init; }

    /// <summary>Poles of its breaker that are on lines.</summary>
    public int Poles =>
        Load.Connection switch
        {
            Connection.ThreeLines => 3,
            Connection.TwoLines => 2,
            _ => 1,
        };

    /// <summary>What it is on a split board; none where the family has no such boards.</summary>
    public BoardCircuit? Board { get; init; }

    /// <summary>Wire and breaker, or none when no cable carries the load.</summary>
    public required ConductorChoice? Wire { get; init; }

    /// <summary>Size of the home run, which may be larger than the rest.</summary>
    public required WireSize HomeRunSize { get; init; }

    /// <summary>The pair of circuits whose home run is one cable, or none when it has its own.</summary>
    public HomeRunPair? Pair { get; init; }

    /// <summary>Whether its home run is in another circuit's cable.</summary>
    public bool Carried => Pair?.Second == Number;

    /// <summary>The panel that feeds it, or none without a panel.</summary>
    public string? Panel { get; init; }

    /// <summary>Its home run as it was pulled, or none while it is not.</summary>
    public PulledRun? Pulled { get; init; }

    /// <summary>The ground of its home run, or none when nothing could be sized.</summary>
    public EquipmentGround? Ground { get; init; }

    /// <summary>The cable of its home run, such as <c>12-2</c>.</summary>
    public required CableType Cable { get; init; }

    /// <summary>The cable past the first box.</summary>
    public required CableType BranchCable { get; init; }

    /// <summary>The cable that a piece of its run is, such as <c>14-3</c> for travelers.</summary>
    public CableType CableOf(CableSegment segment) =>
        segment.From is null ? Cable
        : segment is { Use: CableUse.Power, More: 0 } ? BranchCable
        : BranchCable with { Conductors = segment.Conductors };

    /// <summary>Breaker in amperes; 0 when nothing could be sized.</summary>
    public int Breaker => Wire?.Breaker ?? 0;

    /// <summary>Cable run.</summary>
    public required CableRun Run { get; init; }

    /// <summary>Greatest voltage drop at any box, in percent.</summary>
    public required double DropPercent { get; init; }

    /// <summary>Voltage drop at each box under the planned load, in percent.</summary>
    public required ImmutableDictionary<string, double> DropAt { get; init; }

    /// <summary>Protection.</summary>
    public required CircuitProtection Protection { get; init; }

    /// <summary>What each box needs.</summary>
    public required ImmutableDictionary<string, ImmutableArray<ProtectionNeed>> Needs { get; init; }

    /// <summary>How the wire was chosen.</summary>
    public required Derivation WireDerivation { get; init; }

    /// <summary>How the drop came about.</summary>
    public required Derivation DropDerivation { get; init; }

    /// <summary>Tells how its cable runs; told when asked, because the words of every way take longer than all the rest.</summary>
    public required Func<Derivation> RunWhy { get; init; }

    /// <summary>How its cable runs.</summary>
    public Derivation RunDerivation => RunWhy();

    /// <summary>Why it is protected so.</summary>
    public required Derivation ProtectionDerivation { get; init; }
}
