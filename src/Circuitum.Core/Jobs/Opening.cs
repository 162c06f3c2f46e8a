using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>A door, window or other opening, given on one room's wall.</summary>
public sealed record Opening
{
    /// <summary>The value of <see cref="To"/> for an opening to the open air.</summary>
    public const string Outside = "outside";

    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>What it is.</summary>
    public OpeningKind Kind { get; init; }

    /// <summary>The room on whose wall it is given.</summary>
    public string Room { get; init; } = "";

    /// <summary>The number of that room's wall.</summary>
    public int Wall { get; init; }

    /// <summary>From the wall's first corner to the nearer jamb.</summary>
    public Length From { get; init; }

    /// <summary>Clear width.</summary>
    public Length Width { get; init; }

    /// <summary>The room on the other side, or <see cref="Outside"/>.</summary>
    public string To { get; init; } = Outside;

    /// <summary>For a hinged door the hinge jamb, for a sliding one the jamb of its moving panel, seen along the wall.</summary>
    public End Hinge { get; init; }

    /// <summary>Height of a window's sill over the floor; none takes 3 ft.</summary>
    public Length? Sill { get; init; }

    /// <summary>Height of its head over the floor; none takes 6 ft 8 in.</summary>
    public Length? Head { get; init; }

    /// <summary>Height of what is under it: a window's sill, stated or usual; the floor for what one walks through.</summary>
    [JsonIgnore]
    public Length Foot => Kind == OpeningKind.Window ? Sill ?? Length.Feet(3) : Length.Zero;

    /// <summary>Height of its head, stated or usual.</summary>
    [JsonIgnore]
    public Length Top => Head ?? Length.Inches(80);

    /// <summary>Whether a hinged door swings into the room on whose wall it is given.</summary>
    public bool SwingsIn { get; init; } = true;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
