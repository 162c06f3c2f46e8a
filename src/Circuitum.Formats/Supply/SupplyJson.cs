using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Takeoff;

namespace Circuitum.Formats.Supply;

/// <summary>Orders, price rows and a supplier's answers as JSON; an order's form is described in <c>docs/order-format</c>.</summary>
public static class SupplyJson
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower) },
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    private static readonly JsonSerializerOptions Indented = new(Options) { WriteIndented = true };

    /// <summary>An order as it is kept and sent.</summary>
    public static string Write(Order order) => JsonSerializer.Serialize(order, Options);

    /// <summary>An order as a file for people and programs.</summary>
    public static string WriteFile(Order order) => JsonSerializer.Serialize(order, Indented);

    /// <summary>Reads an order that this program wrote.</summary>
    /// <exception cref="JsonException">It is none.</exception>
    public static Order ReadOrder(string text) =>
        JsonSerializer.Deserialize<Order>(text, Options) ?? throw new JsonException("It is none.");

    /// <summary>Price rows as they are kept.</summary>
    public static string Write(ImmutableArray<PriceRow> rows) => JsonSerializer.Serialize(rows, Options);

    /// <summary>Reads price rows that this program wrote.</summary>
    /// <exception cref="JsonException">They are none.</exception>
    public static ImmutableArray<PriceRow> ReadPrices(string text) => JsonSerializer.Deserialize<ImmutableArray<PriceRow>>(text, Options);

    /// <summary>A supplier's answer as it is sent.</summary>
    public static string Write(CounterAnswer answer) => JsonSerializer.Serialize(answer, Options);

    /// <summary>Reads a supplier's answer.</summary>
    /// <exception cref="JsonException">It is none.</exception>
    public static CounterAnswer ReadAnswer(string text) =>
        JsonSerializer.Deserialize<CounterAnswer>(text, Options) ?? throw new JsonException("It is none.");
}
