using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats;

/// <summary>Reads and writes the job file, version 1.</summary>
public static class JobFile
{
    /// <summary>Most bytes in a job file.</summary>
    public const int MostBytes = 8_000_000;

    private static readonly JsonSerializerOptions Options = MakeOptions(indented: true);

    /// <summary>Writes a job. Lengths are exact; fields that this version does not know are written back.</summary>
    public static string Write(Job job) => JsonSerializer.Serialize(job, Options) + "\n";

    /// <summary>Writes a company's document.</summary>
    public static string Write(Company company) => JsonSerializer.Serialize(company, Options) + "\n";

    /// <summary>Reads a company's document as this program wrote it.</summary>
    /// <exception cref="InvalidDataException">It does not pass the rules of its document.</exception>
    public static Company ReadCompany(string text)
    {
        try
        {
            return JsonSerializer.Deserialize<Company>(text, Options) is { } company && JobRules.Check(company).Count == 0
                ? company
                : throw new InvalidDataException("The company's document does not pass its rules.");
        }
        catch (JsonException e)
        {
            throw new InvalidDataException("The company's document is not readable.", e);
        }
    }

    /// <summary>Reads a job file from a stream that is not trusted: never more than <see cref="MostBytes"/> of it.</summary>
    public static async Task<JobReading> ReadAsync(Stream stream, CancellationToken cancel = default)
    {
        using var buffer = new MemoryStream();
        var chunk = new byte[64 * 1024];
        int read;
        while ((read = await stream.ReadAsync(chunk, cancel).ConfigureAwait(false)) > 0)
        {
            if (buffer.Length + read > MostBytes)
                return Bad("", $"The file is larger than {MostBytes / 1_000_000} MB, the most that a job file may have.");
            buffer.Write(chunk, 0, read);
        }

        return Read(buffer.ToArray());
    }

    /// <summary>Reads a job file.</summary>
    public static JobReading Read(string text) => Read(Encoding.UTF8.GetBytes(text));

    /// <summary>Reads a job file.</summary>
    public static JobReading Read(ReadOnlyMemory<byte> utf8)
    {
        if (utf8.Length > MostBytes)
            return Bad("", $"The file is larger than {MostBytes / 1_000_000} MB, the most that a job file may have.");
        if (utf8.Span.StartsWith("\uFEFF"u8))
            utf8 = utf8[3..];
        try
        {
            using var document = JsonDocument.Parse(utf8, new JsonDocumentOptions { MaxDepth = 32 });
            if (document.RootElement.ValueKind != JsonValueKind.Object)
                return Bad("", "This is not a job file: it does not hold one object.");
            if (Head(document.RootElement) is { } problem)
                return new(null, [problem]);
            if (EmptyEntry(document.RootElement) is { } empty)
                return Bad(empty.TrimStart('.'), "This entry of the list is empty (null). Take it out.");
            var job = document.RootElement.Deserialize<Job>(Options);
            if (job is null)
                return Bad("", "This is not a job file.");
            var problems = JobRules.Check(job);
            return problems.Count > 0 ? new(null, problems) : new(job, []);
        }
        catch (JsonException e)
        {
            return Bad(Path(e.Path), Sentence(e));
        }
        catch (InvalidOperationException)
        {
            return Bad("", "The file holds a text that is not valid Unicode.");
        }
    }

    // Format, version and counts are looked at before anything is built from the file.
    private static Problem? Head(JsonElement root)
    {
        if (
            !root.TryGetProperty("format", out var format)
            || format.ValueKind != JsonValueKind.String
            || format.GetString() != Job.FormatName
        )
            return new("format", $"This is not a job file; its format must be \"{Job.FormatName}\".");
        if (!root.TryGetProperty("version", out var version) || !version.TryGetInt32(out var number))
            return new("version", "Give the version as a whole number.");
        if (number != Job.FormatVersion)
            return new("version", $"Version {number} is not known here; this program reads version {Job.FormatVersion}.");
        if (
            root.TryGetProperty("rooms", out var rooms)
            && rooms.ValueKind == JsonValueKind.Array
            && rooms.GetArrayLength() > JobRules.MostRooms
        )
            return new("rooms", $"There are {rooms.GetArrayLength():#,0}; a job holds {JobRules.MostRooms:#,0} at most.");
        return null;
    }

    // A list with a null in it would only be found out by what trips over it. The path is put together on the way back.
    private static string? EmptyEntry(JsonElement element)
    {
        if (element.ValueKind == JsonValueKind.Object)
        {
            foreach (var field in element.EnumerateObject())
            {
                if (EmptyEntry(field.Value) is { } inner)
                    return $".{JobRules.Short(field.Name)}{inner}";
            }
        }
        else if (element.ValueKind == JsonValueKind.Array)
        {
            foreach (var (entry, i) in element.EnumerateArray().Select((e, i) => (e, i)))
            {
                if (entry.ValueKind == JsonValueKind.Null)
                    return $"[{i}]";
                if (EmptyEntry(entry) is { } inner)
                    return $"[{i}]{inner}";
            }
        }

        return null;
    }

    private static JobReading Bad(string field, string sentence) => new(null, [new Problem(field, sentence)]);

    private static string Path(string? path) =>
        path is null or "$" ? ""
        : path.StartsWith("$.", StringComparison.Ordinal) ? path[2..]
        : path;

    private static string Sentence(JsonException e)
    {
        if (e is TradeJsonException)
            return e.Message;
        if (e.Message.Contains("maximum configured depth", StringComparison.Ordinal))
            return "The file is nested too deeply.";
        return e.LineNumber is { } line && e.Path is null
            ? $"This is not JSON; it goes wrong in line {line + 1}, at character {(e.BytePositionInLine ?? 0) + 1}."
            : "The value is of the wrong kind. See the job file's schema for what belongs here.";
    }

    internal static JsonSerializerOptions MakeOptions(bool indented)
    {
        var options = new JsonSerializerOptions
        {
            PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
            DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
            WriteIndented = indented,
            MaxDepth = 32,
            RespectNullableAnnotations = true,
            Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        };
        options.Converters.Add(new LengthConverter());
        options.Converters.Add(new PointConverter());
        options.Converters.Add(new TradeEnumConverter());
        return options;
    }
}
