using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>What an appliance's plate says. What is left out comes from the library and counts as assumed.</summary>
public sealed record Nameplate
{
    /// <summary>Supply voltage, 120 or 240.</summary>
    public int? Volts { get; init; }

    /// <summary>Rated load in volt-amperes.</summary>
    public double? VoltAmperes { get; init; }

    /// <summary>Rated current in amperes, where the plate gives that and no load.</summary>
    public double? Amperes { get; init; }

    /// <summary>Whether it runs three hours or more; none takes the library's.</summary>
    public bool? Continuous { get; init; }

    /// <summary>Whether its maker asks for a circuit of its own; none takes the library's.</summary>
    public bool? OwnCircuit { get; init; }

    /// <summary>Minimum circuit ampacity, where the maker gives one.</summary>
    public double? MinimumCircuitAmpacity { get; init; }

    /// <summary>Largest breaker, where the maker gives one.</summary>
    public int? MaximumBreaker { get; init; }

    /// <summary>Hardwired, or by plug and receptacle.</summary>
    public bool? Hardwired { get; init; }

    /// <summary>Whether a person has read this off the plate; until then it is assumed.</summary>
    public bool Confirmed { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
