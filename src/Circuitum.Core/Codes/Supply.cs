using System.Collections.Immutable;
using System.Text.Json.Serialization;

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

    /// <summary>Headings over a column for each line: <c>Leg A VA</c>.</summary>
    /// <param name="unit">What stands in the column.</param>
    public IEnumerable<string> Headings(string unit) => Names.Select(n => $"{char.ToUpperInvariant(Line[0])}{Line[1..]} {n} {unit}");

    /// <summary>Both voltages, as a label states them: <c>120/240 V</c>.</summary>
    [JsonIgnore]
    public string Name => $"{ToNeutral}/{Between} V";

    /// <summary>The voltage of a connection.</summary>
    public int Volts(Connection connection) => connection == Connection.TwoLines ? Between : ToNeutral;

    /// <summary>The connection of a voltage: what is over that of one line hangs on two.</summary>
    public Connection At(int volts) => volts > ToNeutral ? Connection.TwoLines : Connection.OneLine;
}
