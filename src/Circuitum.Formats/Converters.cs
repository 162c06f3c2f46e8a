using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Formats;

/// <summary>A JSON error whose message is already a sentence for a person.</summary>
internal sealed class TradeJsonException(string message) : JsonException(message);

/// <summary>A length as text: <c>"12'6 1/2"</c> or <c>"3800 mm"</c>.</summary>
internal sealed class LengthConverter : JsonConverter<Length>
{
    public override Length Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (reader.TokenType != JsonTokenType.String)
            throw new TradeJsonException("A length is a text such as \"12'6\" or \"3800 mm\".");
        return LengthText.TryParse(reader.GetString(), out var length, out var problem) ? length : throw new TradeJsonException(problem);
    }

    public override void Write(Utf8JsonWriter writer, Length value, JsonSerializerOptions options) =>
        writer.WriteStringValue(LengthText.Print(value));
}

/// <summary>A place as two lengths: <c>["12'0", "8'6"]</c>.</summary>
internal sealed class PointConverter : JsonConverter<Point>
{
    public override Point Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        var length = new LengthConverter();
        if (reader.TokenType != JsonTokenType.StartArray)
            throw new TradeJsonException("A place is two lengths, such as [\"12'0\", \"8'6\"].");
        reader.Read();
        var x = length.Read(ref reader, typeof(Length), options);
        reader.Read();
        var y = length.Read(ref reader, typeof(Length), options);
        reader.Read();
        return reader.TokenType == JsonTokenType.EndArray
            ? new(x, y)
            : throw new TradeJsonException("A place is two lengths, such as [\"12'0\", \"8'6\"].");
    }

    public override void Write(Utf8JsonWriter writer, Point value, JsonSerializerOptions options) =>
        writer.WriteRawValue(
            $"[{JsonSerializer.Serialize(LengthText.Print(value.X), options)}, "
                + $"{JsonSerializer.Serialize(LengthText.Print(value.Y), options)}]"
        );
}

/// <summary>Enumerations as small words joined by dashes, with a sentence that lists them when one is not known.</summary>
internal sealed class TradeEnumConverter : JsonConverterFactory
{
    public override bool CanConvert(Type typeToConvert) => typeToConvert.IsEnum;

    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        (JsonConverter)Activator.CreateInstance(typeof(Typed<>).MakeGenericType(typeToConvert))!;

    internal static string Word(string name) => JsonNamingPolicy.KebabCaseLower.ConvertName(name);

    private sealed class Typed<T> : JsonConverter<T>
        where T : struct, Enum
    {
        private static readonly Dictionary<string, T> Words = Enum.GetValues<T>().ToDictionary(v => Word(v.ToString()));

        public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
        {
            var text = reader.TokenType == JsonTokenType.String ? reader.GetString() : null;
            if (text is not null && Words.TryGetValue(text, out var value))
                return value;
            throw new TradeJsonException($"It is one of: {string.Join(", ", Words.Keys)}.");
        }

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WriteStringValue(Word(value.ToString()));
    }
}
