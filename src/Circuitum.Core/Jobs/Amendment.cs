using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>One change to an edition, with where it is written.</summary>
public sealed record Amendment
{
    /// <summary>What it does.</summary>
    public AmendmentKind Kind { get; init; }

    /// <summary>The rule's id, for a number its name; empty for a new rule.</summary>
    public string Target { get; init; } = "";

    /// <summary>For a number, its new value in the number's own unit.</summary>
    public double? Value { get; init; }

    /// <summary>For a rule, how a breach is graded: <c>must</c>, <c>should</c> or <c>note</c>; none leaves it.</summary>
    public string? Severity { get; init; }

    /// <summary>A few words; for a changed rule empty leaves them.</summary>
    public string Title { get; init; } = "";

    /// <summary>What it asks, in own words; for a changed rule empty leaves them.</summary>
    public string Text { get; init; } = "";

    /// <summary>Where it is written: the section of the local ordinance.</summary>
    public string Citation { get; init; } = "";

    /// <summary>Why, or who was asked. May be empty.</summary>
    public string Note { get; init; } = "";

    /// <summary>For a new rule, what the product does about it.</summary>
    public LocalDemand? Demand { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
