using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>
/// One edition of a code family as data: its numbers, its rules with their section numbers, and what it says about each
/// kind of room. Adding an edition adds a file, not code.
/// </summary>
public sealed partial record CodeEdition
{
    /// <summary>Its key in a job, such as <c>us-2023</c>.</summary>
    public required string Id { get; init; }

    /// <summary>Its name for people.</summary>
    public required string Name { get; init; }

    /// <summary>The family of rules that it is an edition of, such as <c>us</c>: what is lawful in one says nothing in another.</summary>
    public required string Family { get; init; }

    /// <summary>In what its lengths are told.</summary>
    public LengthUnits Units { get; init; }

    /// <summary>What comes to a dwelling under it.</summary>
    public required Supply Supply { get; init; }

    /// <summary>What it says of split boards; none for an edition of another kind.</summary>
    public BoardTables? Board { get; init; }

    /// <summary>Standard breaker ratings in amperes, rising (240.6(A)).</summary>
    public required ImmutableArray<int> Breakers { get; init; }

    /// <summary>The smallest breaker the planner uses; smaller ones are only for special circuits.</summary>
    public required int SmallestBreaker { get; init; }

    /// <summary>Largest breaker for small wire by material and size (240.4(D)).</summary>
    public required ImmutableDictionary<string, ImmutableDictionary<WireSize, int>> SmallWireLimits { get; init; }

    /// <summary>Named numbers; the suffix of each name is its unit.</summary>
    public required ImmutableDictionary<string, double> Numbers { get; init; }

    /// <summary>Its ways, where editions go about a thing differently.</summary>
    public required EditionWays Ways { get; init; }

    /// <summary>Planning figure for a general receptacle, in volt-amperes.</summary>
    public required double ReceptacleVa { get; init; }

    /// <summary>Planning figure for a lighting outlet whose lamp is not chosen, in volt-amperes.</summary>
    public required double LightVa { get; init; }

    /// <summary>Preferences by key that say nothing under these rules, and are not asked for.</summary>
    public ImmutableArray<string> UnusedPreferences { get; init; } = [];

    /// <summary>The only preferences by key that say something under these rules; empty where most of them do.</summary>
    public ImmutableArray<string> UsedPreferences { get; init; } = [];

    /// <summary>Whether a preference says anything under these rules.</summary>
    /// <param name="key">The preference's key.</param>
    public bool Uses(string key) => UsedPreferences.IsEmpty ? !UnusedPreferences.Contains(key) : UsedPreferences.Contains(key);

    /// <summary>Appliances of the library that have a circuit of their own whatever the job prefers.</summary>
    public ImmutableArray<string> OwnCircuits { get; init; } = [];

    /// <summary>Room that one conductor takes in a box, in cubic inches, by size; empty where that of the conductor tables holds.</summary>
    public ImmutableDictionary<WireSize, double> BoxRoomIn3 { get; init; } = ImmutableDictionary<WireSize, double>.Empty;

    /// <summary>Factor by current-carrying conductors together; empty where that of the conductor tables holds.</summary>
    public ImmutableArray<CountRow> Counts { get; init; } = [];

    /// <summary>Equipment ground by breaker; empty where that of the conductor tables holds.</summary>
    public ImmutableArray<GroundRow> Grounds { get; init; } = [];

    /// <summary>Whether the equipment ground grows with wires that are made larger than they had to be.</summary>
    public bool GroundGrows { get; init; } = true;

    /// <summary>The grounding conductor of any service, where an edition has one size for all; none where a table has it.</summary>
    public WireSize? ElectrodeCopper { get; init; }

    /// <summary>Breakers that are usual for kinds of appliance where they are others than those of the library, in amperes.</summary>
    public ImmutableDictionary<string, int> UsualBreakers { get; init; } = ImmutableDictionary<string, int>.Empty;

    /// <summary>What colours its wires have.</summary>
    public required WireColours Colours { get; init; }

    /// <summary>Whether switches on a cord are usual, which may hang where one on a wall may not.</summary>
    public bool CordSwitches { get; init; }

    /// <summary>The controls that are chosen from.</summary>
    public IEnumerable<SwitchControl> Controls => Enum.GetValues<SwitchControl>().Where(c => c != SwitchControl.Cord || CordSwitches);

    /// <summary>Its own wires in conduit; none where the plain tables hold.</summary>
    public OwnConduit? Conduit { get; init; }

    /// <summary>The appliances whose outlets need ground-fault protection whatever their place, with the section that names them.</summary>
    public required ImmutableDictionary<string, string> GroundFaultAppliances { get; init; }

    /// <summary>
    /// The day on which an exception for outdoor heating and cooling equipment ended; none when the edition has no such exception.
    /// </summary>
    public DateOnly? HvacGroundFaultFrom { get; init; }

    /// <summary>What applies to each kind of room.</summary>
    public required ImmutableDictionary<string, RoomTraits> RoomKinds { get; init; }

    /// <summary>The rules by id.</summary>
    public required ImmutableDictionary<string, Rule> Rules { get; init; }

    /// <summary>The names of the amendment layers that are laid over it, lowest first.</summary>
    public ImmutableArray<string> Layers { get; init; } = [];

    /// <summary>What added rules demand, by rule id.</summary>
    public ImmutableSortedDictionary<string, LocalDemand> Demands { get; init; } = ImmutableSortedDictionary<string, LocalDemand>.Empty;

    /// <summary>Its name with the layers that are laid over it, as papers state it.</summary>
    public string FullName => Layers.Length == 0 ? Name : $"{Name}, with {string.Join(", ", Layers)}";

    /// <summary>Words of its trade for those that the program uses else: a board for a panel.</summary>
    public ImmutableDictionary<string, string> Words { get; init; } = ImmutableDictionary<string, string>.Empty;

    /// <summary>What the people of its trade call a thing.</summary>
    /// <param name="word">What the program calls it else.</param>
    public string Word(string word) => Words.GetValueOrDefault(word, word);

    /// <summary>Whether a rule is in force; one that the family does not know is not.</summary>
    public bool InForce(string ruleId) => Rules.GetValueOrDefault(ruleId)?.Applies == true;

    /// <summary>A named number.</summary>
    /// <exception cref="KeyNotFoundException">The edition's data lacks it: a defect in the data.</exception>
    public Limit Number(string name) => new(name, Numbers[name], Units);

    /// <summary>What applies to a kind of room.</summary>
    public RoomTraits Traits(RoomKind kind)
    {
        var name = kind.ToString();
        return RoomKinds[char.ToLowerInvariant(name[0]) + name[1..]];
    }

    /// <summary>A rule with its id filled in, its words with the numbers that hold here.</summary>
    /// <exception cref="KeyNotFoundException">The edition's data lacks it: a defect in the data.</exception>
    public Rule Rule(string id) => Rules[id] with { Id = id, Text = Fill(Rules[id].Text) };

    /// <summary>A sentence with each name in braces told: of a number its value here, of a rule its section.</summary>
    /// <param name="sentence">Such as <c>{stapleEveryIn} at most ({wire.staple})</c>; other names stay as they are.</param>
    public string Fill(string sentence) =>
        sentence.Contains('{', StringComparison.Ordinal)
            ? NameInBraces()
                .Replace(sentence, m => Numbers.ContainsKey(m.Groups[1].Value) ? $"{Number(m.Groups[1].Value)}"
                    : Rules.TryGetValue(m.Groups[1].Value, out var rule) ? rule.Cite
                    : m.Value)
            : sentence;

    [GeneratedRegex(@"\{([a-zA-Z0-9.]+)\}")]
    private static partial Regex NameInBraces();

    /// <summary>The section number of a rule in this edition.</summary>
    public string Cite(string ruleId) => Rules[ruleId].Cite;

    /// <summary>The grounding conductor for a service of copper conductors of a size.</summary>
    public ElectrodeRow ElectrodeFor(WireSize copper) =>
        CodeLibrary.Families.Electrode.First(r => ElectrodeCopper is { } one ? one <= r.Copper : copper <= r.CopperUpTo);

    /// <summary>The factor on the ampacity of so many current-carrying conductors together.</summary>
    public double CountFactor(int conductors) =>
        (Counts.IsDefaultOrEmpty ? CodeLibrary.Conductors.Count : Counts).First(r => conductors <= r.UpTo).Factor;

    /// <summary>The highest top of a panel whose highest handle is within reach.</summary>
    public Length HighestPanelTop => Number("highestHandleIn").Length + AboveHandle;

    // From the top of the cabinet to the highest handle.
    private static readonly Length AboveHandle = Length.Inches(4);

    /// <summary>The least equipment ground for a breaker, copper.</summary>
    /// <param name="breaker">Its rating in amperes, 400 at most.</param>
    public WireSize GroundFor(int breaker) =>
        (Grounds.IsDefaultOrEmpty ? CodeLibrary.Conductors.Ground : Grounds).First(g => breaker <= g.Breaker).Copper;

    /// <summary>Room that one conductor of a size takes in a box, in cubic inches; none where the table ends.</summary>
    public double? RoomInBox(WireSize size) =>
        BoxRoomIn3.TryGetValue(size, out var own) ? own
        : BoxRoomIn3.Count == 0 && CodeLibrary.Conductors.Copper.FirstOrDefault(r => r.Size == size) is { BoxIn3: > 0 } row ? row.BoxIn3
        : null;

    /// <summary>The smallest standard breaker of at least the given rating, or none when no standard one is that large.</summary>
    /// <param name="amperes">The rating needed.</param>
    public int? BreakerFor(double amperes)
    {
        foreach (var rating in Breakers)
        {
            if (rating >= SmallestBreaker && rating >= amperes - 1e-6)
                return rating;
        }

        return null;
    }
}
