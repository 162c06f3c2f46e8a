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

    /// <summary>Both voltages, as a label states them: <c>120/240 V</c>.</summary>
    [JsonIgnore]
    public string Name => $"{ToNeutral}/{Between} V";

    /// <summary>The voltage of a connection.</summary>
    public int Volts(Connection connection) => connection == Connection.TwoLines ? Between : ToNeutral;

    /// <summary>The connection of a voltage: what is over that of one line hangs on two.</summary>
    public Connection At(int volts) => volts > ToNeutral ? Connection.TwoLines : Connection.OneLine;
}
