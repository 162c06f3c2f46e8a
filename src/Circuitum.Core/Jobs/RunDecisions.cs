using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>Two circuits in the cable of one home run.</summary>
public sealed record HomeRunPair
{
    /// <summary>The circuit whose first box the cable ends in.</summary>
    public int First { get; init; }

    /// <summary>The other one, which goes on from that box.</summary>
    public int Second { get; init; }

    /// <summary>How.</summary>
    public PairKind Kind { get; init; }

    /// <summary>Who decided it.</summary>
    public Maker By { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData] public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>Whether a circuit is in it.</summary>
    public bool Has(int circuit) => First == circuit || Second == circuit;

    /// <summary>The mate of a circuit that is in it.</summary>
    public int MateOf(int circuit) => First == circuit ? Second : First;
}

/// <summary>A home run that is in the frame: the planner keeps the box in which it ends first on its circuit.</summary>
public sealed record PulledRun
{
    /// <summary>The circuit.</summary>
    public int Circuit { get; init; }

    /// <summary>The box in which it ends.</summary>
    public string To { get; init; } = "";

    /// <summary>The cable that was pulled, such as <c>12-2</c>.</summary>
    public string Cable { get; init; } = "";

    /// <summary>What it took, measured off the reel; none when nobody measured.</summary>
    public Length? Measured { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData] public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>How two circuits share a home run.</summary>
public enum PairKind
{
    /// <summary>Three-wire cable with one neutral: breakers that open together, on opposite legs (210.4).</summary>
    SharedNeutral,

    /// <summary>Four-wire cable with a neutral for each.</summary>
    TwoNeutrals,
}

/// <summary>A breaker's space in the panel.</summary>
public sealed record SpaceDecision
{
    /// <summary>The panel.</summary>
    public string Panel { get; init; } = "";

    /// <summary>The circuit's number.</summary>
    public int Circuit { get; init; }

    /// <summary>The space, for a two-pole breaker its upper one.</summary>
    public int Space { get; init; }

    /// <summary>Who placed it.</summary>
    public Maker By { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData] public Dictionary<string, JsonElement>? Extra { get; init; }
}
