using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>Reads editions. A file may say only in what it differs from another one, its <c>from</c>; null takes an entry away.</summary>
internal static class EditionReader
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
    };

    /// <summary>Reads an edition.</summary>
    /// <param name="id">Its id.</param>
    /// <param name="text">The text of the file of an id.</param>
    /// <exception cref="InvalidOperationException">Its data is not that of an edition: a defect of the data.</exception>
    internal static CodeEdition Read(string id, Func<string, string> text)
    {
        try
        {
            return Whole(id, text).Deserialize<CodeEdition>(Options)!;
        }
        catch (JsonException e)
        {
            throw new InvalidOperationException($"The edition {id} cannot be read: {e.Message}", e);
        }
    }

    private static JsonObject Whole(string id, Func<string, string> text)
    {
        var own = JsonNode.Parse(text(id))!.AsObject();
        InInches(own);
        if (own["from"]?.GetValue<string>() is not { } from)
            return own;
        own.Remove("from");
        var whole = Whole(from, text);
        if (own["onlyRules"]?.GetValue<bool>() == true)
            Silence(whole);
        own.Remove("onlyRules");
        Lay(own, whole);
        return whole;
    }

    // A metric edition states its lengths in millimetres; the program measures in inches, without rounding.
    private static void InInches(JsonObject own)
    {
        if (own["millimetres"] is not JsonObject lengths)
            return;
        own.Remove("millimetres");
        var numbers = own["numbers"]?.AsObject() ?? (JsonObject)(own["numbers"] = new JsonObject())!;
        foreach (var (name, value) in lengths)
            numbers[$"{name}In"] = value!.GetValue<double>() / Length.MillimetresInInch;
    }

    // Of an edition that goes by rules of its own none of the other's is in force but what it names.
    private static void Silence(JsonObject whole)
    {
        foreach (var (_, rule) in whole["rules"]!.AsObject())
        {
            rule!["applies"] = false;
            rule["cite"] = Rule.NoCite;
        }
    }

    private static void Lay(JsonObject over, JsonObject under)
    {
        foreach (var (name, value) in over)
        {
            if (value is null)
                under.Remove(name);
            else if (value is JsonObject more && under[name] is JsonObject there)
                Lay(more, there);
            else
                under[name] = value.DeepClone();
        }
    }
}
