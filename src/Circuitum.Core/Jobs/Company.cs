using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>
/// What holds for all jobs of a firm: its preferences and the amendment layers of the places where it works. A new job
/// begins with a copy, so that a job file stands alone and an old job is not changed behind anyone's back.
/// </summary>
public sealed record Company
{
    /// <summary>What the document's format must be.</summary>
    public const string FormatName = "circuitum-company";

    /// <summary>Always <see cref="FormatName"/>.</summary>
    public string Format { get; init; } = FormatName;

    /// <summary>The document version.</summary>
    public int Version { get; init; } = 1;

    /// <summary>The firm's name, for papers. May be empty.</summary>
    public string Name { get; init; } = "";

    /// <summary>Its preferences.</summary>
    public Preferences Preferences { get; init; } = new();

    /// <summary>Layers that its jobs may take; those that are on are taken by new jobs.</summary>
    public ImmutableArray<AmendmentLayer> Amendments { get; init; } = [];

    /// <summary>Houses that a new job may begin with, saved from jobs of the firm.</summary>
    public ImmutableArray<StarterHouse> Starters { get; init; } = [];

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>A job that begins with what holds for the firm.</summary>
    public Job Begin(Job job) => job with { Preferences = Preferences, Amendments = [.. Amendments.Where(l => l.On)] };

    /// <summary>The fields in which a job goes another way than the firm.</summary>
    public IEnumerable<PreferenceField> Different(Preferences preferences) =>
        PreferenceFields.All.Where(f => f.Read(preferences) != f.Read(Preferences));
}
