using System.Collections.Immutable;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Supply;

namespace Circuitum.Web.Supply;

/// <summary>Keeps a few price lists in memory of which some rows are refused, until a person says whether the rest is taken.</summary>
public sealed class PriceTray
{
    private const int Most = 4;

    private readonly Lock gate = new();
    private ImmutableList<(string Key, string Name, string Supplier, PriceListReading Reading)> waiting = [];

    /// <summary>Keeps a list and gives its key.</summary>
    public string Keep(string name, string supplier, PriceListReading reading)
    {
        var key = Guid.NewGuid().ToString("n");
        lock (gate)
            waiting = [.. waiting.Add((key, name, supplier, reading)).TakeLast(Most)];
        return key;
    }

    /// <summary>A list that waits, or none when it has gone.</summary>
    public (string Name, string Supplier, PriceListReading Reading)? Of(string key)
    {
        lock (gate)
        {
            var found = waiting.Find(w => w.Key == key);
            return found.Key is null ? null : (found.Name, found.Supplier, found.Reading);
        }
    }

    /// <summary>The rows of a list that waits as a list to take.</summary>
    public PriceList? Take(string key) => Of(key) is { } w ? new(w.Name, w.Supplier, w.Reading.Rows) : null;
}
