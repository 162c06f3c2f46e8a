using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>A house of the firm that a new job may begin with: what stands in it, without what was decided about wiring.</summary>
public sealed record StarterHouse
{
    /// <summary>What it is called.</summary>
    public string Name { get; init; } = "";

    /// <summary>The house.</summary>
    public Job House { get; init; } = new();

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>
    /// A house as it is kept of a job: rooms, openings, walls, things and wishes. Circuits, boxes, panels, traced pictures and what was
    /// read off nameplates stay with the job.
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="name">What it is called.</param>
    public static StarterHouse Of(Job job, string name) =>
        new()
        {
            Name = name,
            House = job with
            {
                Name = name,
                Place = "",
                PermitDate = null,
                Panels = [],
                Underlays = [],
                Decisions = new(),
                Appliances = [.. job.Appliances.Select(x => x with { Nameplate = x.Nameplate with { Confirmed = false } })],
            },
        };
}
