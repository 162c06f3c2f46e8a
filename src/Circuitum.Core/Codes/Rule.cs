namespace Circuitum.Core.Codes;

/// <summary>A rule in plain words with its section number.</summary>
public sealed record Rule
{
    /// <summary>The section of a rule that no edition has and only an authority may bring into force.</summary>
    public const string NoCite = "none";

    /// <summary>Stable id, such as <c>box.wall</c>.</summary>
    public string Id { get; init; } = "";

    /// <summary>A few words.</summary>
    public required string Title { get; init; }

    /// <summary>Section number, or <c>practice</c>.</summary>
    public required string Cite { get; init; }

    /// <summary>What of it is from memory and to be looked up before anyone builds on it; empty where nothing is.</summary>
    public string Doubt { get; init; } = "";

    /// <summary>Whether the edition has the rule at all.</summary>
    public bool Applies { get; init; } = true;

    /// <summary>The layer that changed, added or switched off the rule, or none.</summary>
    public string? Amended { get; init; }

    /// <summary>How a breach is graded: must, should or note.</summary>
    public required string Severity { get; init; }

    /// <summary>What it asks, in our own words.</summary>
    public required string Text { get; init; }
}
