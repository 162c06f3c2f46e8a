using System.Collections;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using Circuitum.Core.Bench;
using Circuitum.Core.Explain;

namespace Circuitum.Formats;

/// <summary>Writes an answer of the bench as JSON: the results by name, then how they came about, step by step.</summary>
public static class BenchJson
{
    private const string Caution = "A planning aid: the local authority and licensed practice decide.";

    private static readonly JsonWriterOptions Options = new() { Indented = true, Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    /// <summary>The answer.</summary>
    /// <param name="question">What was asked.</param>
    /// <param name="answer">What came out.</param>
    public static string Write(BenchQuestion question, BenchAnswer answer) =>
        Written(w =>
        {
            w.WriteStartObject();
            w.WriteString("question", question.Name);
            w.WriteStartObject("result");
            foreach (var (name, value) in answer.Values)
            {
                w.WritePropertyName(name);
                Value(w, value);
            }

            w.WriteEndObject();
            w.WritePropertyName("why");
            Why(w, answer.Derivation);
            w.WriteString("caution", Caution);
            w.WriteEndObject();
        });

    /// <summary>A refusal, with the field that is wrong.</summary>
    public static string Write(BenchException problem) =>
        Written(w =>
        {
            w.WriteStartObject();
            w.WriteString("field", problem.Field);
            w.WriteString("problem", problem.Message);
            w.WriteEndObject();
        });

    /// <summary>The questions and what each asks for.</summary>
    public static string WriteQuestions() =>
        Written(w =>
        {
            w.WriteStartArray();
            foreach (var q in BenchDesk.Questions)
            {
                w.WriteStartObject();
                w.WriteString("question", q.Name);
                w.WriteString("title", q.Title);
                w.WriteStartArray("fields");
                foreach (var f in q.Fields)
                {
                    w.WriteStartObject();
                    w.WriteString("name", f.Name);
                    w.WriteString("title", f.Title);
                    if (f.Default.Length > 0)
                        w.WriteString("default", f.Default);
                    if (f.Example.Length > 0)
                        w.WriteString("example", f.Example);
                    if (f.Needed)
                        w.WriteBoolean("needed", true);
                    if (f.Many)
                        w.WriteBoolean("many", true);
                    if (f.Choices.Length > 0)
                    {
                        w.WriteStartArray("choices");
                        foreach (var c in f.Choices)
                            w.WriteStringValue(c);
                        w.WriteEndArray();
                    }

                    w.WriteEndObject();
                }

                w.WriteEndArray();
                w.WriteEndObject();
            }

            w.WriteEndArray();
        });

    private static string Written(Action<Utf8JsonWriter> write)
    {
        using var stream = new MemoryStream();
        using (var w = new Utf8JsonWriter(stream, Options))
            write(w);
        return Encoding.UTF8.GetString(stream.ToArray());
    }

    private static void Why(Utf8JsonWriter w, Derivation d)
    {
        w.WriteStartObject();
        w.WriteString("what", d.What);
        w.WriteString("result", d.Result);
        if (d.Formula.Length > 0)
            w.WriteString("formula", d.Formula);
        if (d.Citation.Length > 0)
            w.WriteString("citation", d.Citation);
        if (d.Because.Length > 0)
            w.WriteString("because", d.Because);
        if (d.Steps.Length > 0)
        {
            w.WriteStartArray("steps");
            foreach (var step in d.Steps)
                Why(w, step);
            w.WriteEndArray();
        }

        w.WriteEndObject();
    }

    private static void Value(Utf8JsonWriter w, object? value)
    {
        switch (value)
        {
            case null:
                w.WriteNullValue();
                break;
            case string text:
                w.WriteStringValue(text);
                break;
            case bool yes:
                w.WriteBooleanValue(yes);
                break;
            case int whole:
                w.WriteNumberValue(whole);
                break;
            case double number:
                w.WriteNumberValue(number);
                break;
            case IEnumerable list:
                w.WriteStartArray();
                foreach (var one in list)
                    Value(w, one);
                w.WriteEndArray();
                break;
            default:
                throw new ArgumentException($"A result of type {value.GetType().Name} cannot be written.", nameof(value));
        }
    }
}
