using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>What comes to a dwelling: its lines and their voltages.</summary>
public sealed record Supply
{
    /// <summary>From a line to the neutral, in volts.</summary>
    public required int ToNeutral { get; init; }

    /// <summary>From line to line, in volts.</summary>
    public required int Between { get; init; }

    /// <summary>What a diagram says of it, behind its voltages.</summary>
    public required string Lines { get; init; }

    /// <summary>What people call one of its lines, in small letters.</summary>
    public required string Line { get; init; }

    /// <summary>The letters of its lines, in the order in which they meet the rows of a panel.</summary>
    public required ImmutableArray<string> Names { get; init; }

    /// <summary>How many spaces of a panel are side by side on one line: the two columns of a panel, or one of a board of ways.</summary>
    public required int Abreast { get; init; }

    /// <summary>The line that a space is on, from 0: the rows take them in turn.</summary>
    /// <param name="space">From 1.</param>
    public int LineOf(int space) => (space - 1) / Abreast % Names.Length;

    /// <summary>The spaces that a breaker takes.</summary>
    /// <param name="space">The first of them.</param>
    /// <param name="poles">Its poles that are on lines.</param>
    public IEnumerable<int> Taken(int space, int poles) => Enumerable.Range(0, poles).Select(i => space + (i * Abreast));

    /// <summary>Headings over a column for each line: <c>Leg A VA</c>.</summary>
    /// <param name="unit">What stands in the column.</param>
    public IEnumerable<string> Headings(string unit) => Names.Select(n => $"{char.ToUpperInvariant(Line[0])}{Line[1..]} {n} {unit}");

    /// <summary>Both voltages, as a label states them: <c>120/240 V</c>.</summary>
    [JsonIgnore]
    public string Name => $"{ToNeutral}/{Between} V";

    /// <summary>What hangs on more than one line hangs on all of them where there are three.</summary>
    [JsonIgnore]
    public Connection Several => Names.Length > 2 ? Connection.ThreeLines : Connection.TwoLines;

    /// <summary>How an appliance of the library usually hangs here: where one line has the voltage of heavy ones, on that.</summary>
    /// <param name="library">How the library has it, whose heavy appliances hang on two lines.</param>
    public Connection Usual(Connection library) => Several == Connection.TwoLines ? library : Connection.OneLine;

    /// <summary>The voltage of a connection.</summary>
    public int Volts(Connection connection) => connection == Connection.OneLine ? ToNeutral : Between;

    /// <summary>The current of a load in each of its lines.</summary>
    public Amperes Current(VoltAmperes load, Connection connection) =>
        new(load.Value / (connection == Connection.ThreeLines ? Math.Sqrt(3) * Between : Volts(connection)));

    /// <summary>The connection of a voltage: what is over that of one line hangs on several.</summary>
    public Connection At(int volts) => volts > ToNeutral ? Several : Connection.OneLine;
}
