using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>What a local authority changes in an edition: a named set that is laid over it, the last one on top.</summary>
public sealed record AmendmentLayer
{
    /// <summary>What people call it, and what the papers state.</summary>
    public string Name { get; init; } = "";

    /// <summary>Who adopted it. May be empty.</summary>
    public string Authority { get; init; } = "";

    /// <summary>Whether it counts; a layer that is off is kept but changes nothing.</summary>
    public bool On { get; init; } = true;

    /// <summary>Its changes, in order.</summary>
    public ImmutableArray<Amendment> Changes { get; init; } = [];

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>One change to an edition, with where it is written.</summary>
public sealed record Amendment
{
    /// <summary>What it does.</summary>
    public AmendmentKind Kind { get; init; }

    /// <summary>The rule's id, for a number its name; empty for a new rule.</summary>
    public string Target { get; init; } = "";

    /// <summary>For a number, its new value in the number's own unit.</summary>
    public double? Value { get; init; }

    /// <summary>For a rule, how a breach is graded: <c>must</c>, <c>should</c> or <c>note</c>; none leaves it.</summary>
    public string? Severity { get; init; }

    /// <summary>A few words; for a changed rule empty leaves them.</summary>
    public string Title { get; init; } = "";

    /// <summary>What it asks, in own words; for a changed rule empty leaves them.</summary>
    public string Text { get; init; } = "";

    /// <summary>Where it is written: the section of the local ordinance.</summary>
    public string Citation { get; init; } = "";

    /// <summary>Why, or who was asked. May be empty.</summary>
    public string Note { get; init; } = "";

    /// <summary>For a new rule, what the product does about it.</summary>
    public LocalDemand? Demand { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>What an amendment does.</summary>
public enum AmendmentKind
{
    /// <summary>Changes a number of the edition.</summary>
    Number,

    /// <summary>Changes the words or the grading of a rule.</summary>
    Rule,

    /// <summary>Switches a rule off.</summary>
    Off,

    /// <summary>Adds a rule.</summary>
    Add,
}

/// <summary>What the product does about an added rule.</summary>
public sealed record LocalDemand
{
    /// <summary>The sort of demand.</summary>
    public LocalDemandKind Kind { get; init; }

    /// <summary>The kind of room it is about, for protection and boxes.</summary>
    public RoomKind? Room { get; init; }

    /// <summary>The kind of box, for boxes.</summary>
    public BoxKind? Box { get; init; }

    /// <summary>How many boxes at least.</summary>
    public int Least { get; init; } = 1;

    /// <summary>The appliance type, for a circuit of its own.</summary>
    public string? Appliance { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>Sorts of demand of an added rule.</summary>
public enum LocalDemandKind
{
    /// <summary>A person looks at it: the findings list it as a note.</summary>
    ByHand,

    /// <summary>Each room of a kind has at least a number of boxes of a kind.</summary>
    Boxes,

    /// <summary>Receptacles in a kind of room have ground-fault protection.</summary>
    GroundFault,

    /// <summary>Outlets and switches in a kind of room have arc-fault protection.</summary>
    ArcFault,

    /// <summary>An appliance has a circuit of its own.</summary>
    OwnCircuit,
}
