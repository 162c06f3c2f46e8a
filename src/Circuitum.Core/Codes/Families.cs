using System.Collections.Immutable;

namespace Circuitum.Core.Codes;

/// <summary>
/// What two further families of rules need for quick answers, and two tables that stand by themselves. Both families are basic: sizing and
/// loads only.
/// </summary>
public sealed record Families
{
    /// <summary>Canadian dwelling rules.</summary>
    public required CanadaTables Canada { get; init; }

    /// <summary>Metric boards of 230/400 V with residual-current sections.</summary>
    public required SplitBoardTables SplitBoard { get; init; }

    /// <summary>Demand of household cooking by the number of appliances (Table 220.55).</summary>
    public required ImmutableArray<CookingRow> RangeDemand { get; init; }

    /// <summary>Grounding electrode conductors by service conductors (Table 250.66).</summary>
    public required ImmutableArray<ElectrodeRow> Electrode { get; init; }

    /// <summary>The electrode conductor for a copper service conductor.</summary>
    /// <param name="copper">Its size, 600 kcmil at most.</param>
    public ElectrodeRow ElectrodeFor(string copper)
    {
        var sizes = CodeLibrary.Conductors.Copper.Select(r => r.Size).ToList();
        return Electrode.First(r => sizes.IndexOf(copper) <= sizes.IndexOf(r.CopperUpTo));
    }
}

/// <summary>Canadian tables; ampacity is that of the shared columns (Table 2).</summary>
public sealed record CanadaTables
{
    /// <summary>Standard breakers in amperes.</summary>
    public required ImmutableArray<int> Breakers { get; init; }

    /// <summary>Factor by current-carrying conductors together (Table 5C).</summary>
    public required ImmutableArray<CountRow> Count { get; init; }

    /// <summary>Room that one conductor takes in a box, in cubic inches, by AWG (Table 22).</summary>
    public required ImmutableDictionary<string, double> BoxIn3 { get; init; }
}

/// <summary>Metric tables of copper singles with PVC for 70 C in conduit at 30 C.</summary>
public sealed record SplitBoardTables
{
    /// <summary>Miniature circuit breakers in amperes.</summary>
    public required ImmutableArray<int> Breakers { get; init; }

    /// <summary>Cables, smallest first.</summary>
    public required ImmutableArray<MetricCable> Cables { get; init; }

    /// <summary>Factor up to and including a temperature in degrees Celsius.</summary>
    public required ImmutableArray<FactorRow> Ambient { get; init; }

    /// <summary>Factor by the number of circuits in one conduit.</summary>
    public required ImmutableArray<FactorRow> Grouped { get; init; }

    /// <summary>Lamp points and their breakers.</summary>
    public required LampTable Lamps { get; init; }
}

/// <summary>How lamp points count and what they hang on; a local layer may say otherwise.</summary>
/// <param name="PointWatts">A lamp point in watts.</param>
/// <param name="LedWatts">An LED point in watts.</param>
/// <param name="Steps">Breakers by watts, smallest first; over the last a circuit is divided.</param>
public sealed record LampTable(double PointWatts, double LedWatts, ImmutableArray<LampStep> Steps);

/// <summary>A step of the lamp table.</summary>
/// <param name="UpToWatts">Up to and including so many watts.</param>
/// <param name="Breaker">Its breaker in amperes.</param>
/// <param name="Mm2">Its cable in square millimetres.</param>
public sealed record LampStep(double UpToWatts, int Breaker, string Mm2);

/// <summary>A metric cable.</summary>
/// <param name="Mm2">Section in square millimetres.</param>
/// <param name="Single">Amperes in conduit, single phase.</param>
/// <param name="Three">Amperes in conduit, three phases.</param>
/// <param name="SingleMv">Drop in millivolts for an ampere and a metre, single phase, there and back.</param>
/// <param name="ThreeMv">The same for three phases.</param>
public sealed record MetricCable(string Mm2, double Single, double Three, double SingleMv, double ThreeMv);

/// <summary>A factor up to and including a key.</summary>
/// <param name="Key">Degrees, or a count.</param>
/// <param name="Factor">The factor.</param>
public sealed record FactorRow(int Key, double Factor);

/// <summary>A row of the cooking table.</summary>
/// <param name="Count">Number of appliances.</param>
/// <param name="A">Percent for those under 3.5 kW.</param>
/// <param name="B">Percent for those of 3.5 to 8.75 kW.</param>
/// <param name="C">Demand in kW for those up to 12 kW.</param>
public sealed record CookingRow(int Count, int A, int B, int C);

/// <summary>A row of the electrode table.</summary>
/// <param name="CopperUpTo">Largest copper service conductor.</param>
/// <param name="AluminumUpTo">Largest aluminum service conductor.</param>
/// <param name="Copper">Copper electrode conductor.</param>
/// <param name="Aluminum">Aluminum electrode conductor.</param>
public sealed record ElectrodeRow(string CopperUpTo, string AluminumUpTo, string Copper, string Aluminum);
