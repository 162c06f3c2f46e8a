using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>
/// What the circuit planner weighs, in cents of labour and material, so that every term can be read and held against a
/// price. They are estimates that a job may change; none of them is a rule.
/// </summary>
public sealed record PlanWeights
{
    /// <summary>A foot of cable, pulled and stapled.</summary>
    public int CableFoot { get; init; } = 140;

    /// <summary>A circuit: its breaker, its space, landing it.</summary>
    public int Circuit { get; init; } = 5500;

    /// <summary>Each room of a circuit beyond the first.</summary>
    public int Room { get; init; } = 900;

    /// <summary>Each storey of a circuit beyond the first.</summary>
    public int Storey { get; init; } = 4000;

    /// <summary>
    /// Each zone rule that a circuit breaks: rooms that do not touch, that should never go dark together, or too many of them. More
    /// than any cable in a house, so that it happens only where the house or a person leaves no other way.
    /// </summary>
    public int Zone { get; init; } = 100_000;

    /// <summary>Floor area that one light circuit serves, in square feet.</summary>
    public int ZoneSqFt { get; init; } = 550;

    /// <summary>Each square foot of a light circuit beyond that.</summary>
    public int SqFtOver { get; init; } = 20;

    /// <summary>Each use beyond the first among a light circuit's rooms: living, sleeping, service.</summary>
    public int Use { get; init; } = 9000;

    /// <summary>Each outlet by which a circuit passes four fifths of what it may hold: spare capacity for later.</summary>
    public int Margin { get; init; } = 600;

    /// <summary>Each heavy user beside another on a circuit, and one that shares its circuit with a second room.</summary>
    public int Heavy { get; init; } = 3000;

    /// <summary>Each ampere by which a circuit loads a feeder, for each foot of that feeder: larger wire sooner.</summary>
    public int FeederAmpFoot { get; init; } = 4;

    /// <summary>One more hole, for a cable that would lose ampacity among others.</summary>
    public int Hole { get; init; } = 150;

    /// <summary>The most that any weight may be.</summary>
    public const int Most = 1_000_000;

    /// <summary>Moving an outlet that stands on a circuit already, about 15 ft of cable.</summary>
    public int Moved { get; init; } = 2100;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>Fewest breakers: a circuit weighs much.</summary>
    public static PlanWeights FewestBreakers { get; } =
        new()
        {
            Circuit = 30_000,
            Room = 200,
            Storey = 1500,
            SqFtOver = 2,
            Use = 500,
            Margin = 0,
        };

    /// <summary>Least wire: only cable and the breaker itself count.</summary>
    public static PlanWeights LeastWire { get; } =
        new()
        {
            CableFoot = 400,
            Room = 0,
            Storey = 0,
            SqFtOver = 0,
            Use = 0,
            Margin = 0,
        };

    /// <summary>Least darkness: small circuits, one room each.</summary>
    public static PlanWeights LeastDarkness { get; } =
        new()
        {
            Circuit = 2500,
            Room = 6000,
            Storey = 12_000,
            ZoneSqFt = 200,
            SqFtOver = 60,
            Use = 12_000,
            Margin = 600,
        };
}
