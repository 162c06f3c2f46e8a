using System.Text.Json;
using System.Text.Json.Serialization;

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
    public Origin By { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>Whether a circuit is in it.</summary>
    public bool Has(int circuit) => First == circuit || Second == circuit;

    /// <summary>The mate of a circuit that is in it.</summary>
    public int MateOf(int circuit) => First == circuit ? Second : First;
}
