using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Storage.Archive;

/// <summary>What an archive says of itself.</summary>
/// <param name="Format">Always <see cref="JobArchive.Format"/>.</param>
/// <param name="Version">Of the layout, from 1.</param>
/// <param name="Name">The job's name.</param>
/// <param name="Head">The state that the job stands at.</param>
internal sealed record ArchiveHead(string Format, int Version, string Name, int Head);

/// <summary>A state; its document is <c>history/NUMBER.json</c>.</summary>
internal sealed record ArchiveState(
    int Number,
    int Parent,
    string Title,
    string About,
    string By,
    DateTime Made,
    string? Named = null,
    DateTime? Stepped = null,
    string? SteppedBy = null
);

/// <summary>An issued set.</summary>
internal sealed record ArchiveSet(int Number, string Name, int State, int Stamp, DateTime Issued);

/// <summary>An entry from the field.</summary>
internal sealed record ArchiveEntry(
    int Number,
    string Id,
    string Task,
    string State,
    string Value,
    string Mark,
    string By,
    DateTime At,
    DateTime Received
);

/// <summary>A photograph; its bytes are <c>photos/NUMBER.jpg</c> and <c>photos/NUMBER-small.jpg</c>.</summary>
internal sealed record ArchivePhoto(
    int Number,
    string Id,
    string Task,
    int Wide,
    int Tall,
    string By,
    DateTime At,
    double? InchesPerPixel = null
);

/// <summary>A picture under a storey; its bytes are <c>pictures/HASH</c>.</summary>
internal sealed record ArchivePicture(string Hash, string MediaType);

/// <summary>All lists of an archive.</summary>
internal sealed record ArchiveLists(
    ArchiveState[] States,
    ArchiveSet[] Sets,
    ArchiveEntry[] Field,
    ArchivePhoto[] Photos,
    ArchivePicture[] Pictures,
    JsonElement[] Orders
)
{
    internal static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        WriteIndented = true,
        MaxDepth = 32,
        UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
        RespectNullableAnnotations = true,
        RespectRequiredConstructorParameters = true,
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    };
}
